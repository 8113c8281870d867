using System.Text;

namespace Lumbeck.Core.Colour;

/// <summary>
/// Palettes as the GIMP writes them (.gpl): a heading, then a colour a line as red, green, blue and a name.
/// </summary>
public static class GimpPalette
{
    /// <summary>Most colours and letters of a palette that is read.</summary>
    public const int Most = 150, Longest = 200_000;

    /// <exception cref="Refusal">It is no such palette, or holds no colour, or more than a job takes.</exception>
    public static IReadOnlyList<(string Name, AskedRgb Colour)> Read(string text)
    {
        if (text.Length > Longest) throw No($"it is over {Longest / 1000} kB");
        var lines = text.ReplaceLineEndings("\n").Split('\n');
        if (!lines[0].TrimStart('\uFEFF').Trim().Equals("GIMP Palette", StringComparison.OrdinalIgnoreCase))
            throw No("its first line is not `GIMP Palette`");
        var read = new List<(string, AskedRgb)>();
        for (var i = 1; i < lines.Length; i++)
        {
            var line = lines[i].Trim();
            if (line.Length == 0 || line[0] == '#' || line.StartsWith("Name:", StringComparison.OrdinalIgnoreCase)
                || line.StartsWith("Columns:", StringComparison.OrdinalIgnoreCase))
                continue;
            var parts = line.Split([' ', '\t'], 4, StringSplitOptions.RemoveEmptyEntries);
            if (parts.Length < 3 || !byte.TryParse(parts[0], NumberStyles.None, CultureInfo.InvariantCulture, out var r)
                || !byte.TryParse(parts[1], NumberStyles.None, CultureInfo.InvariantCulture, out var g)
                || !byte.TryParse(parts[2], NumberStyles.None, CultureInfo.InvariantCulture, out var b))
                throw No($"line {i + 1}, `{LengthText.Clip(line)}`, is no colour: red, green and blue from 0 to 255, " +
                    $"then a name");
            read.Add((parts.Length > 3 ? string.Concat(parts[3].Where(c => !char.IsControl(c))).Trim() : "",
                new(r, g, b)));
            if (read.Count > Most) throw No($"it holds more than {Most} colours");
        }
        return read.Count > 0 ? read : throw No("it holds no colour");
    }

    public static string Write(string name, IEnumerable<(string Name, AskedRgb Colour)> colours)
    {
        static string line(string s) => string.Concat(s.Select(c => char.IsControl(c) ? ' ' : c)).Trim();
        var s = new StringBuilder("GIMP Palette\n").Append("Name: ").Append(line(name)).Append("\nColumns: 0\n#\n");
        foreach (var (called, c) in colours)
            s.Append(CultureInfo.InvariantCulture, $"{c.R,3} {c.G,3} {c.B,3}\t{line(called)}\n");
        return s.ToString();
    }

    private static Refusal No(string why) => new("swatches", $"this is no palette that can be read: {why}");
}
