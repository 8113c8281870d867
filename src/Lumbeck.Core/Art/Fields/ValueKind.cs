using System.Globalization;

namespace Lumbeck.Core.Art.Fields;

/// <summary>How values of one kind are shown, read from what people type, and carried by edits.</summary>
public sealed record ValueKind<T>(
    Func<T, FieldTerms, string> Show, Func<string, FieldTerms, T> Read, Func<T, FieldValue> Keep,
        Func<FieldValue, T> Take)
{
    /// <summary>Whether a value is one at all: of an enumeration, not null.</summary>
    public Func<T, bool> IsSound { get; init; } = value => value is not null;

    /// <summary>Set in the figures' face although it is words.</summary>
    public bool IsFigure { get; init; }
}

/// <summary>The kinds of values that fields have.</summary>
public static class Values
{
    /// <summary>A length, in the job's unit.</summary>
    public static ValueKind<Length> Lengths { get; } = new(
        (l, t) => l.Show(t.Unit), (s, t) => Typed.Length(s, t.Unit), l => new(Length: l), v => v.Length ?? default);

    /// <summary>A weight of a line or a size of type, in points.</summary>
    public static ValueKind<Length> Points { get; } = new(
        (l, _) => l.ShowPoints(), (s, _) => Typed.Points(s), l => new(Length: l), v => v.Length ?? default);

    /// <summary>A length, or a word where there is none.</summary>
    public static ValueKind<Length?> LengthOr(string none) => new(
        (l, t) => l is { } given ? given.Show(t.Unit) : none,
        (s, t) => s.Trim() is "" || s.Trim() == none ? null : Typed.Length(s, t.Unit),
        l => new(Length: l),
        v => v.Length)
    {
        IsSound = _ => true,
    };

    /// <summary>A weight in points, or a word where there is none.</summary>
    public static ValueKind<Length?> PointsOr(string none) => new(
        (l, _) => l is { } given ? given.ShowPoints() : none,
        (s, _) => s.Trim() is "" || s.Trim() == none ? null : Typed.Points(s),
        l => new(Length: l),
        v => v.Length)
    {
        IsSound = _ => true,
    };

    /// <summary>A number with its unit, such as “ %”.</summary>
    public static ValueKind<decimal> Numbers(string unit, string what, string example) => new(
        (n, _) => Typed.Show(n, unit), (s, _) => Typed.Number(s, unit, what, example), n => new(Number: n),
            v => v.Number
            ?? 0);

    /// <summary>
    /// A length that is kept as a number of millimetres, to a hundredth; shown and typed in the job's unit.
    /// </summary>
    public static ValueKind<decimal> Millimetres { get; } = new(
        (mm, t) => Length.FromMillimetres(mm).Show(t.Unit),
        (s, t) => Math.Round(Typed.Length(s, t.Unit).Millimetres, 2),
        mm => new(Number: mm),
        v => v.Number ?? 0);

    /// <summary>A whole number of things.</summary>
    public static ValueKind<int> Counts(string example) => new(
        (n, _) => n.ToString(CultureInfo.InvariantCulture), (s, _) => Typed.Whole(s, example), n => new(Number: n),
        v => (int)Math.Clamp(v.Number ?? 0, int.MinValue, int.MaxValue));

    /// <summary>A seed: a number, or a word that is hashed.</summary>
    public static ValueKind<Seed> Seeds { get; } = new(
        (seed, _) => seed.ToString(), (s, _) => Seed.Of(s), seed => new(Words: seed.ToString()),
            v => Seed.Of(v.Words ?? ""))
    {
        IsFigure = true,
    };

    /// <summary>Words on one line.</summary>
    public static ValueKind<string> Line { get; } = new((s, _) => s, (s, _) => Plain.Line(s), s => new(Words: s),
        v => v.Words ?? "");

    /// <summary>Words on as many lines as were typed.</summary>
    public static ValueKind<string> Paragraphs { get; } =
        new((s, _) => s, (s, _) => string.Join('\n', s.Split('\n').Select(Plain.Line)), s => new(Words: s),
            v => v.Words ?? "");

    /// <summary>Words that can be left away: how what is given is shown, and how it is read.</summary>
    public static ValueKind<string?> Maybe(Func<string?, string> show, Func<string, string?> read) =>
        new((s, _) => show(s), (s, _) => read(s), s => new(Words: s),
            v => v.Words)
        { IsSound = _ => true, IsFigure = true };

    /// <summary>One of some, by its word.</summary>
    public static ValueKind<T> OneOf<T>(params (string Word, T Value)[] choices) where T : struct => new(
        (c, _) => choices.First(x => x.Value.Equals(c)).Word, (s, _) => Typed.Choice(s, choices),
        c => new(Words: choices.First(x => x.Value.Equals(c)).Word), v => Typed.Choice(v.Words ?? "", choices))
    {
        IsSound = c => choices.Any(x => x.Value.Equals(c)),
    };

    /// <summary>Yes or no.</summary>
    public static ValueKind<bool> Switch { get; } = OneOf(("yes", true), ("no", false));

    /// <summary>A paint that is no gradient: of lines, codes, and what a pattern is drawn in.</summary>
    /// <param name="what">What takes one ink, for the refusal of a gradient.</param>
    public static ValueKind<Paint> PlainPaint(string what) => new(
        (p, t) => p.Show(t.Swatches),
        (s, t) => !PaintText.TryParse(s, t.Swatches, out var p, out var why, t.Finishes) ? throw Typed.No(why)
            : p is GradientPaint ? throw Typed.No($"{what} take one ink: a gradient can fill a shape or the ground")
            : p,
        p => new(Paint: p),
        v => v.Paint ?? throw Typed.No($"{what} need an ink"))
    {
        IsSound = p => p is not (null or GradientPaint),
    };
}
