namespace Lumbeck.Core.Colour;

/// <summary>
/// A colour asked for otherwise than as a mix: of a screen (sRGB, each from 0 to 255), or as people see it.
/// </summary>
public abstract record Asked
{
    /// <summary>As it would be typed.</summary>
    public abstract string Text { get; }

    /// <summary>
    /// Reads <c>#2a6350</c>, <c>rgb 42 99 80</c> or <c>lab 38 -28 12</c>; null where a text begins as none of them.
    /// </summary>
    /// <exception cref="Refusal">It begins as one and can't be read on.</exception>
    public static Asked? Read(string text)
    {
        text = text.Trim();
        if (text.StartsWith('#'))
        {
            var hex = text[1..];
            if (hex.Length == 3) hex = string.Concat(hex.Select(c => new string(c, 2)));
            return hex.Length == 6 && hex.All(char.IsAsciiHexDigit)
                ? new AskedRgb(byte.Parse(hex.AsSpan(0, 2), NumberStyles.HexNumber, CultureInfo.InvariantCulture),
                    byte.Parse(hex.AsSpan(2, 2), NumberStyles.HexNumber, CultureInfo.InvariantCulture),
                    byte.Parse(hex.AsSpan(4, 2), NumberStyles.HexNumber, CultureInfo.InvariantCulture))
                : throw new Refusal("",
                    $"`{LengthText.Clip(text)}` is no colour: six figures and letters from a to f follow the #, such as `#2a6350`");
        }
        var rgb = text.StartsWith("rgb", StringComparison.OrdinalIgnoreCase);
        if (!rgb && !text.StartsWith("lab", StringComparison.OrdinalIgnoreCase)) return null;
        if (text.Length > 3 && char.IsLetter(text[3])) return null;
        var parts = text[3..].Replace('−', '-')
            .Split([' ', ',', ';', '/', '(', ')', '%'], StringSplitOptions.RemoveEmptyEntries).Select(LengthText.Number)
            .ToArray();
        if (rgb)
            return parts is [{ } r, { } g, { } b] && parts.All(p => p is >= 0 and <= 255)
                ? new AskedRgb((byte)Math.Round(r), (byte)Math.Round(g), (byte)Math.Round(b))
                : throw new Refusal("",
                    $"`{LengthText.Clip(text)}` is no colour: red, green and blue run from 0 to 255, such as `rgb 42 99 80`");
        return parts is [{ } l, { } a, { } bb] && l is >= 0 and <= 100 && a is >= -128 and <= 127
            && bb is >= -128 and <= 127
            ? new AskedLab(new((double)l, (double)a, (double)bb))
            : throw new Refusal("",
                $"`{LengthText.Clip(text)}` is no colour: lightness runs from 0 to 100, the others from -128 to 127, " +
                    $"such as `lab 38 -28 12`");
    }
}

public sealed record AskedRgb(byte R, byte G, byte B) : Asked
{
    public override string Text => $"#{R:x2}{G:x2}{B:x2}";
}

public sealed record AskedLab(Lab Lab) : Asked
{
    public override string Text =>
        string.Create(CultureInfo.InvariantCulture, $"lab {Lab.L:0.##} {Lab.A:0.##} {Lab.B:0.##}");
}
