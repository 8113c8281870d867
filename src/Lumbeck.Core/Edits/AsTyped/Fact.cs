namespace Lumbeck.Core.Edits.AsTyped;

/// <summary>
/// One fact of a job as people read and type it: its label, its text in the job's unit, and the edit that a typed text
/// makes.
/// Screens list facts, conflicts are told in them, and a text that can't be read is refused by the fact's path.
/// </summary>
public sealed record Fact(string Path, string Label, Func<Job, string> Read, Func<Job, string, Edit> Write)
{
    /// <summary>What can be picked, as (text to write, what people read); empty where the fact is typed.</summary>
    public Func<Job, IReadOnlyList<(string Text, string Label)>> Choices { get; init; } = _ => [];

    /// <summary>Whether it is a paint, so that a screen’s colour or a Lab colour is brought to inks first.</summary>
    public bool TakesColour { get; init; }
}

/// <summary>Facts by path.</summary>
public static class Facts
{
    /// <summary>The fact at a path, or null where there is none.</summary>
    public static Fact? Find(Job job, string path)
    {
        var parts = path.Split('/');
        return parts switch
        {
            ["ticket", var key] => TicketFacts.All.FirstOrDefault(f => f.Path == path && key.Length > 0),
            ["inside", _] => InsideFacts.All.FirstOrDefault(f => f.Path == path),
            ["run", var id, _] => RunFacts.Of(job, id).FirstOrDefault(f => f.Path == path),
            ["ground", _] => GroundFacts.Of(job, 0).FirstOrDefault(f => f.Path == path),
            ["ground", "1", _] when job.Wraps.Count > 1 => GroundFacts.Of(job, 1).FirstOrDefault(f => f.Path == path),
            ["swatch", var id, _] => GroundFacts.OfSwatch(id).FirstOrDefault(f => f.Path == path),
            ["item", var id, var key] when key.Contains('@')
                || key.StartsWith("feature-", StringComparison.Ordinal) => job.Item(id) is TextItem
                ? TextFacts.Of(id, key)
                : null,
            ["item", var id, _] => job.Item(id) is { } item
                ? ItemFacts.Of(item).FirstOrDefault(f => f.Path == path)
                : null,
            _ => null,
        };
    }

    /// <summary>The edit that writing this text to this fact makes.</summary>
    /// <exception cref="Refusal">There is no such fact, or the text can't be read as one.</exception>
    public static Edit Write(Job job, string path, string text)
    {
        if (path.StartsWith("item/", StringComparison.Ordinal) && path.Split('/') is [_, var id, _]
            && job.Item(id) is null)
            throw Job.Gone(id);
        var fact = Find(job, path)
            ?? throw new Refusal(path, $"there is nothing called `{LengthText.Clip(path)}` to set");
        return Attempt.At(path, () => Attempt.Or(() => fact.Write(job, text), no =>
            OfNow(fact.Read(job), text, job.Ticket.Unit) is { } length ? fact.Write(job, length) : throw no));
    }

    /// <summary>
    /// A share in percent of a length as it is now, where a fact takes no share itself; null where either is none.
    /// </summary>
    private static string? OfNow(string now, string text, Unit unit) =>
        text.Trim() is [.., '%'] share && LengthText.Number(share[..^1]) is { } percent and > 0 and <= 10_000
            && now is [.., >= 'a' and <= 'z'] && LengthText.TryParse(now, unit, out var length, out _)
            ? (length.Points * (double)percent / 100).ToString("0.####", CultureInfo.InvariantCulture) + " pt"
            : null;

    /// <summary>What a path says in this job, in words; “not there” where it has nothing.</summary>
    public static string Read(Job job, string path)
    {
        if (Find(job, path) is { } fact) return fact.Read(job);
        return path.Split('/') switch
        {
            ["item", var id] => job.Item(id)?.Kind ?? "not there",
            ["item", var id, "order"] => (job.WrapOf(id) is >= 0 and var wrap
                ? job.Wraps[wrap].Take.Items.FindIndex(i => i.Id == id) + 1 : 0)
                .ToString(CultureInfo.InvariantCulture),
            ["item", var id, "runs"] => job.Item(id) is TextItem t
                ? System.Text.Json.JsonSerializer.Serialize(t.Runs, JobJson.Options)
                : "not there",
            ["waiver", var rule] => job.Waivers.FirstOrDefault(w => w.Rule == rule)?.Reason ?? "looked at",
            ["swatch", var id] => job.Swatches.FirstOrDefault(s => s.Id == id)?.Name ?? "not there",
            _ => "not there",
        };
    }

    internal static Length Length(Job job, string text) => Typed.Length(text, job.Ticket.Unit);

    internal static Paint Paint(Job job, string text) =>
        PaintText.TryParse(text, job.Swatches, out var p, out var why, job.Ticket.House.FinishingInks)
            ? p
            : throw Typed.No(why);

    /// <summary>A paint that is no gradient: of type, lines and papers.</summary>
    internal static Paint PlainPaint(Job job, string text, string what) =>
        Paint(job, text) is var p and not GradientPaint
            ? p
            : throw Typed.No($"{what} take one ink: a gradient can fill a shape or the ground");

    internal static Paint? MaybePaint(Job job, string text) => text.Trim() is "" or "none" ? null : Paint(job, text);

    /// <summary>A step larger is a tenth; a step smaller takes it back.</summary>
    private const decimal SizeStep = 1.1m;

    /// <summary>
    /// The same; `larger`, `smaller` or a share in percent is of what it is now, to a tenth of a point.
    /// </summary>
    internal static Length Points(string text, Length now)
    {
        decimal? times = text.Trim() switch
        {
            "larger" => SizeStep,
            "smaller" => 1 / SizeStep,
            ['+' or '-' or '−' or (>= '0' and <= '9'), ..,
                '%'] share when LengthText.Number(share[..^1]) is { } percent and > 0 and <= 10_000
                => percent / 100,
            _ => null,
        };
        return times is { } by
            ? Measures.Length.FromPoints(Math.Round(by * (decimal)now.Points, 1))
            : Typed.Points(text);
    }

    internal static Func<Job, IReadOnlyList<(string, string)>> Of(params (string, string)[] choices) => _ => choices;
}
