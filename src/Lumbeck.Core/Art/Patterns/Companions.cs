namespace Lumbeck.Core.Art.Patterns;

/// <summary>
/// Patterns that go together, for a cover, its label and its inside: a lively one, its small sister, and a plain one in
/// the same inks. All three follow from the one seed.
/// </summary>
public static class Companions
{
    /// <summary>How much smaller the small one is drawn.</summary>
    private const decimal Smaller = 0.45m;

    /// <summary>What people call the two that go with a pattern.</summary>
    public const string Small = "small companion", Plain = "plain companion";

    /// <summary>The small one: the same family from the next seed, in the same inks.</summary>
    public static Pattern SmallOf(Pattern pattern) => pattern with
    {
        Scale = Math.Max(Pattern.ScaleLeast, Math.Round(pattern.Scale * Smaller)),
        Seed = pattern.Seed.Next(1),
        Calm = [],
        Fade = default,
        Mirrored = false,
    };

    /// <summary>The plain one: stripes, dots, checks or a weave, as the seed has it, in the same inks.</summary>
    public static Pattern PlainOf(Pattern pattern)
    {
        Pattern[] plain = [.. PatternShelf.Kinds.Where(k => k is Stripes or Dots or Gingham or Weave
            && k.Kind != pattern.Kind)];
        var kind = plain[(int)(pattern.Seed.Next(2).Value % (ulong)plain.Length)];
        return kind with
        {
            Seed = pattern.Seed.Next(2),
            Scale = 70,
            Paints = [.. kind.Paints.Select((_, n) => pattern.Paints[n % pattern.Paints.Count])],
        };
    }

    /// <summary>The one of this name; null where it is no companion's name.</summary>
    public static Pattern? Of(Pattern pattern, string name) => name switch
    {
        Small => SmallOf(pattern),
        Plain => PlainOf(pattern),
        _ => null,
    };
}
