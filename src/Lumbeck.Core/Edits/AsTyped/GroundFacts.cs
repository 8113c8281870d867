namespace Lumbeck.Core.Edits.AsTyped;

/// <summary>The facts of a wrap's ground and of the job's swatches.</summary>
public static class GroundFacts
{
    public static IReadOnlyList<Fact> Of(Job job, int wrap)
    {
        Fill G(Job j) => j.Wraps[wrap].Take.Ground;
        Tracing T(Job j) => j.Wraps[wrap].Tracing ?? throw Typed.No("no tracing lies under this wrap");
        return
        [
            new(GroundPath.Of(wrap, "paint"), "Ground", j => G(j).Paint.Show(j.Swatches),
                (j, t) => new PaintGround(Facts.MaybePaint(j, t), wrap)) { TakesColour = true },
            new(GroundPath.Of(wrap, "paper"), "Pattern", j => PatternFacts.Show(G(j).Pattern),
                (j, t) => new LayPattern(PatternFacts.Read(j, t, G(j).Pattern, null), wrap)) { Choices = PatternFacts.Choices },
            new(GroundPath.Of(wrap, "calm"), "Calm", j => G(j).Pattern is { Calm.Count: > 0 } ? "under words" : "nowhere",
                (_, t) => new CalmPattern(Typed.Choice(t, Calms), wrap)) { Choices =
                    Facts.Of([.. Calms.Select(c => (c.Item1, c.Item1))]) },
            new(GroundPath.Of(wrap, "tracing"), "Tracing", j => j.Wraps[wrap].Tracing?.Picture.Name ?? "none",
                (j, t) => new LayTracing(t.Trim() is "" or "none" ? null : T(j), wrap)),
            new(GroundPath.Of(wrap, "tracing-strength"), "Strength",
                j =>
                    j.Wraps[wrap].Tracing is { } t
                        ? t.Strength.ToString("0.##", CultureInfo.InvariantCulture) + " %"
                        : "",
                (j, t) => t.Length == 0 && j.Wraps[wrap].Tracing is null
                    ? new LayTracing(null, wrap)
                    : new LayTracing(T(j) with { Strength = LengthText.Number(t.TrimEnd(' ', '%'))
                        ?? throw Typed.No($"`{LengthText.Clip(t)}` is no share: try `35 %`") },
                        wrap)),
            new(GroundPath.Of(wrap, "tracing-over"), "Fitted to", j => Over(j.Wraps[wrap].Tracing),
                (j, t) => t == "sheet" && j.Wraps[wrap].Tracing is null
                    ? new LayTracing(null, wrap)
                    : new LayTracing(Fitted(T(j), t), wrap))
                { Choices = j =>
                    [("sheet", "the sheet"), ("trim", "the trim"),
                        .. Panels(j, wrap).Select(p => (p.Word(), $"the {p.Say()}"))] },
            .. PatternFacts.Of(wrap < job.Wraps.Count ? G(job).Pattern : null, key => GroundPath.Of(wrap, key), j => G(j).Pattern,
                (field, value) => new SetGroundPattern(field, value, wrap)),
        ];
    }

    private static readonly (string, bool)[] Calms = [("nowhere", false), ("under words", true)];

    private static string Over(Tracing? tracing) =>
        tracing is { Panel: { } panel } ? panel.Word() : tracing is { OverTrim: true } ? "trim" : "sheet";

    private static Tracing Fitted(Tracing tracing, string to) => to switch
    {
        "sheet" => tracing with { OverTrim = false, Panel = null },
        "trim" => tracing with { OverTrim = true, Panel = null },
        _ when Parts.TryParse(to, out var part)
            && part is not (Part.Sheet or Part.Page) => tracing with { Panel = part },
        _ => throw Typed.No($"`{LengthText.Clip(to)}` is nothing that a tracing is fitted to: take `sheet`, `trim`, " +
            $"or a panel such as `front`"),
    };

    /// <summary>The panels of a wrap's sheets.</summary>
    private static IEnumerable<Part> Panels(Job job, int wrap) => Attempt.OrNull(() =>
        job.Sheets().Where(s => s.Wrap == wrap).SelectMany(s => s.Sheet.Panels).Select(p => p.Part).Distinct().ToArray())
            ?? [];

    public static IEnumerable<Fact> OfSwatch(string id)
    {
        Swatch S(Job j) =>
            j.Swatches.FirstOrDefault(s => s.Id == id) ?? throw Typed.No("this swatch was removed in the meantime");
        yield return new($"swatch/{id}/name", "Name", j => S(j).Name, (_, t) => new SetSwatch(id, Name: t.Trim()));
        yield return new($"swatch/{id}/mix", "Mix", j => S(j).Ink.ToString(),
            (_, t) => new SetSwatch(id,
                Ink: PaintText.TryParseInk(t, out var ink, out var why) ? ink : throw Typed.No(why), Asked: ""));
    }
}
