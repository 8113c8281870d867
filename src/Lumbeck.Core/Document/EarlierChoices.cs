namespace Lumbeck.Core.Document;

/// <summary>
/// What was chosen at an earlier printer and the one of now does not have: it is taken up again where the next has it, and
/// given up once a hand chooses anew. Null, or false, where nothing waits.
/// </summary>
/// <param name="Binding">As it was chosen.</param>
/// <param name="Paper">As it was picked from that printer's list.</param>
/// <param name="Finish">As that printer calls it.</param>
/// <param name="Flaps">Whether there were flaps.</param>
/// <param name="RoundBack">Whether the back was round.</param>
/// <param name="PinnedSpine">A spine that was pinned.</param>
/// <param name="PinnedAt">The printer, by its id, that it was pinned for.</param>
public sealed record EarlierChoices(BindingKind? Binding = null, Paper? Paper = null, string? Finish = null,
    bool Flaps = false, bool RoundBack = false, Length? PinnedSpine = null, string? PinnedAt = null)
{
    private static EarlierChoices None { get; } = new();

    /// <summary>Whether it could have been kept here.</summary>
    public bool IsSound => (Binding is not { } b || Enum.IsDefined(b)) && Finish is null or { Length: > 0 and <= 200 }
        && PinnedAt is null or { Length: <= 60 } && Paper?.Name is null or { Length: <= 200 };

    /// <summary>A ticket at another printer: what it has of what was chosen here or before, and what waits.</summary>
    public static Ticket Move(Ticket t, House house)
    {
        var was = t.Earlier ?? None;
        var (binding, paper, finish) = (was.Binding ?? t.Binding, was.Paper ?? t.Paper, was.Finish ?? t.Finish);
        var (flaps, round) = (was.Flaps || t.Flaps, was.RoundBack || t.RoundBack);
        var (pinned, at) = t.PinnedSpine is { } spine ? (spine, t.House.Id) : (was.PinnedSpine, was.PinnedAt);
        // A paper that was typed, not picked, stays.
        var typed = was.Paper is null && t.House.Papers.All(p => p.Name != paper.Name);
        var there = house.Papers.FirstOrDefault(p => p.Name == paper.Name);
        var waits = new EarlierChoices(
            house.Binds(binding) ? null : binding,
            there is not null || typed ? null : paper,
            finish.Length == 0 || house.Finishes.Contains(finish) ? null : finish,
            flaps && !house.Flaps,
            round && house.RoundBackFactor == 1,
            house.Id == at ? null : pinned,
            house.Id == at ? null : at);
        return t with
        {
            House = house,
            Binding = house.Binds(binding) ? binding : house.Bindings.FirstOrDefault(),
            Paper = there ?? (typed ? paper : house.Papers.FirstOrDefault() ?? paper),
            Finish = house.Finishes.Contains(finish) ? finish : "",
            Flaps = flaps && house.Flaps,
            RoundBack = round && house.RoundBackFactor != 1,
            PinnedSpine = house.Id == at ? pinned : null,
            Earlier = waits == None ? null : waits,
        };
    }

    /// <summary>A ticket after a hand has chosen: of what it chose nothing waits any more.</summary>
    public static Ticket Answered(Ticket before, Ticket now)
    {
        if (now.Earlier is not { } was) return now;
        var left = was with
        {
            Binding = now.Binding == before.Binding ? was.Binding : null,
            Paper = now.Paper == before.Paper ? was.Paper : null,
            Finish = now.Finish == before.Finish ? was.Finish : null,
            Flaps = was.Flaps && now.Flaps == before.Flaps,
            RoundBack = was.RoundBack && now.RoundBack == before.RoundBack,
        };
        return left == was ? now : now with { Earlier = left == None ? null : left };
    }
}
