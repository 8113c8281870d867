using System.Globalization;

namespace Lumbeck.Core.Measures;

/// <summary>What people type, where it is no length of a cover: counts, choices, sizes of type, shares.</summary>
public static class Typed
{
    /// <summary>A refusal that does not know yet which fact it is about.</summary>
    public static Refusal No(string why) => new("", why);

    /// <exception cref="Refusal">The text is no length.</exception>
    public static Length Length(string text, Unit unit) =>
        LengthText.TryParse(text, unit, out var l, out var why) ? l : throw No(why);

    /// <summary>A size of type or a line's weight: a bare number is points.</summary>
    /// <exception cref="Refusal">The text is no size.</exception>
    public static Length Points(string text)
    {
        var t = text.Trim();
        if (LengthText.Number(t) is { } n and > -100_000 and < 100_000) return Measures.Length.FromPoints(n);
        return LengthText.TryParse(t, Unit.Millimetre, out var l, out _)
            ? l
            : throw No($"`{LengthText.Clip(text)}` is no size: try `12 pt`");
    }

    /// <exception cref="Refusal">The text is no whole number.</exception>
    public static int Whole(string text, string example) =>
        LengthText.Number(text.Trim().TrimEnd('%')) is { } n && decimal.IsInteger(n) && Math.Abs(n) < 1_000_000
            ? (int)n
            : throw No($"`{LengthText.Clip(text)}` is no whole number: try `{example}`");

    /// <summary>A number with its unit, such as “45 %”, or without it.</summary>
    /// <exception cref="Refusal">The text is no number.</exception>
    public static decimal Number(string text, string unit, string what, string example) =>
        LengthText.Number(text.Trim().Replace('−', '-').TrimEnd([' ', .. unit])) is { } n and > -1_000_000 and < 1_000_000
            ? n
            : throw No($"`{LengthText.Clip(text)}` is no {what}: try `{example}`");

    /// <summary>“45 %”, “0.5°”.</summary>
    public static string Show(decimal number, string unit) =>
        number.ToString("0.##", CultureInfo.InvariantCulture) + unit;

    /// <exception cref="Refusal">The text is none of the words.</exception>
    public static T Choice<T>(string text, IEnumerable<(string Text, T Value)> choices)
    {
        foreach (var (word, value) in choices)
            if (word.Equals(text.Trim(), StringComparison.OrdinalIgnoreCase)) return value;
        throw No($"`{LengthText.Clip(text)}` is none of {string.Join(", ", choices.Select(c => c.Text))}");
    }
}
