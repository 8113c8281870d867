namespace Lumbeck.Core.Edits.AsTyped;

/// <summary>
/// A pattern as people pick it, and what of it is typed where it fills a shape or lies on the ground.
/// </summary>
internal static class PatternFacts
{
    public static string Show(Pattern? pattern) => pattern?.Kind ?? "none";

    public static Func<Job, IReadOnlyList<(string, string)>> Choices { get; } =
        Facts.Of([("none", "none"), .. PatternShelf.Kinds.Select(k => (k.Kind, k.Kind)), (Companions.Small,
            Companions.Small),
            (Companions.Plain, Companions.Plain)]);

    /// <summary>
    /// A kind as its name was picked: the one that lies there, or in the job's swatches as it is at first, keeping
    /// scale and turn of what lay there; or a pattern that goes with one that lies there.
    /// </summary>
    /// <param name="job">The job.</param>
    /// <param name="text">As it was picked.</param>
    /// <param name="there">What lies there.</param>
    /// <param name="ground">The ground's pattern, which companions of a shape go with; those of the ground with its own.</param>
    public static Pattern? Read(Job job, string text, Pattern? there, Pattern? ground)
    {
        var said = text.Trim();
        if (said is Companions.Small or Companions.Plain)
            return Companions.Of(ground ?? there ?? throw Typed.No("no pattern lies here that one could go with: pick one first"), said);
        if (said.Length == 0 || said.Equals("none", StringComparison.OrdinalIgnoreCase)) return null;
        if (PatternShelf.Kinds.FirstOrDefault(k => k.Kind.Equals(said,
            StringComparison.OrdinalIgnoreCase)) is not { } kind)
            throw Typed.No($"`{LengthText.Clip(text)}` is no pattern: pick one, such as `waves` or `dots`, or `none`");
        if (there?.Kind == kind.Kind) return there;
        var laid = kind.In(job.Swatches);
        return there is null ? laid : laid with { Scale = there.Scale, Turn = there.Turn };
    }

    /// <summary>The facts of a pattern's fields.</summary>
    /// <param name="pattern">The pattern as it is.</param>
    /// <param name="path">The path of a field's word.</param>
    /// <param name="of">The pattern of a job; null where it is gone.</param>
    /// <param name="set">The edit that sets a field.</param>
    public static IEnumerable<Fact> Of(Pattern? pattern, Func<string, string> path, Func<Job, Pattern?> of,
        Func<string, FieldValue, Edit> set) =>
        (pattern?.Fields ?? []).Select(field => new Fact(
            path("paper-" + field.Key),
            field.Label,
            job => of(job) is { } p && p.Kind == pattern!.Kind ? field.Show(p, FieldFacts.Terms(job)) : "",
            (job, text) => set(field.Key, field.Read(text, FieldFacts.Terms(job))))
        {
            Choices = _ => field.Choices,
            TakesColour = field.TakesPaint,
        });
}
