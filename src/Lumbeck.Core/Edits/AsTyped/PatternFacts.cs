namespace Lumbeck.Core.Edits.AsTyped;

/// <summary>A pattern as people pick it, and what of it is typed where it fills a shape.</summary>
internal static class PatternFacts
{
    public static string Show(Pattern? pattern) => pattern?.Kind ?? "none";

    public static Func<Job,
        IReadOnlyList<(string, string)>> Choices
    { get; } = Facts.Of([("none", "none"),
            .. Pattern.Kinds.Select(k => (k.Kind, k.Kind))]);

    /// <summary>A kind as its name was picked: the one that lies there, or as it is at first.</summary>
    public static Pattern? Read(string text, Pattern? there) =>
        Typed.Choice<Pattern?>(text,
            [("none", null), .. Pattern.Kinds.Select(k => (k.Kind, (Pattern?)(there?.Kind == k.Kind ? there : k)))]);

    /// <summary>The facts of what fills a shape.</summary>
    public static IEnumerable<Fact> Of(ShapeItem item, Func<Job, ShapeItem> shape)
    {
        var id = item.Id;
        Pattern? P(Job j) => shape(j).Fill?.Pattern;
        Pattern Laid(Job j) => P(j) ?? throw Typed.No("no paper fills this: pick one first");
        yield return new($"item/{id}/paper", "Paper", j => Show(P(j)),
            (j, t) => new PatternShape(id, Read(t, P(j))))
        { Choices = Choices };
        if (item.Fill?.Pattern is null) yield break;
        yield return new($"item/{id}/paper-seed", "Seed", j => P(j)?.Seed.ToString(CultureInfo.InvariantCulture) ?? "",
            (j, t) => new PatternShape(id, Laid(j) with { Seed = Typed.Whole(t, "41") }));
        yield return new($"item/{id}/paper-lines", "Lines", j => P(j)?.Paints[0].Show(j.Swatches) ?? "",
            (j, t) => new PatternShape(id,
                Laid(j) with { Paints = Laid(j).Paints.SetItem(0, Facts.PlainPaint(j, t, "a paper’s lines")) }))
        { TakesColour = true };
    }
}
