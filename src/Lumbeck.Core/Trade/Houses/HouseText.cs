using System.Text.Json;

namespace Lumbeck.Core.Trade.Houses;

/// <summary>
/// A house's figures as people read and type them, in the house's own unit; the file's keys and limits hold all the
/// same.
/// </summary>
public static class HouseText
{
    /// <summary>What a key says, with its unit; lists a line or a comma apart.</summary>
    public static string Show(HouseKey key, House house) => key.Kind switch
    {
        KeyKind.Papers => string.Join('\n', house.Papers.Select(PaperLine)),
        KeyKind.Trims => string.Join('\n', house.Trims.Select(t => $"{t.Size.Show(house.Unit)}; {t.Name}")),
        KeyKind.Gutters => InsideKeys.Show(house),
        KeyKind.Severities =>
            string.Join('\n',
                house.Severities.OrderBy(s => s.Key, StringComparer.Ordinal).Select(s => $"{s.Key}: {s.Value.Word()}")),
        _ => Show(key, JsonSerializer.SerializeToElement(key.Write(house)), house.Unit),
    };

    private static string Show(HouseKey key, JsonElement value, Unit unit) => (key.Kind, value.ValueKind) switch
    {
        (_, JsonValueKind.Null) => "",
        (KeyKind.Flag, _) => value.GetBoolean() ? "yes" : "no",
        (KeyKind.Length, _) => Length.FromMillimetres(value.GetDecimal()).Show(unit),
        (KeyKind.Figure, _) => $"{Figure(value.GetDecimal())}{(key.Unit.Length > 0 ? " " + key.Unit : "")}",
        (KeyKind.Size, _) => Size.FromMillimetres(value[0].GetDecimal(), value[1].GetDecimal()).Show(unit),
        (KeyKind.Mix, _) => string.Join(' ', value.EnumerateArray().Select(n => Figure(n.GetDecimal()))) + " %",
        (KeyKind.Words, _) => string.Join(", ", value.EnumerateArray().Select(e => e.GetString())),
        _ => value.GetString() ?? "",
    };

    /// <summary>The house with a key changed to what was typed.</summary>
    /// <exception cref="Refusal">It can't be read, is out of the key's range, or disagrees with another figure; the key
    /// is named.</exception>
    public static House Write(HouseKey key, House house, string typed)
    {
        var text = typed.Trim();
        // What is written back as it reads stays exactly as it was.
        if (text == Show(key, house)) return house;
        object? value = key.Kind switch
        {
            KeyKind.Papers => Lines(text).Select(l => ReadPaper(key, l)).ToList(),
            KeyKind.Trims => Lines(text).Select(l => ReadTrim(key, l, house.Unit)).ToList(),
            KeyKind.Gutters => InsideKeys.Typed(text, house.Unit),
            KeyKind.Severities =>
                Lines(text).Select(l => l.Split(':', 2, StringSplitOptions.TrimEntries))
                    .Select(p =>
                        p.Length == 2
                            ? (p[0], p[1])
                            : throw No(key, p[0], "a rule's id with stop, caution or note: `ticket.trim: caution`"))
                    .DistinctBy(p => p.Item1).ToDictionary(p => p.Item1, p => p.Item2),
            KeyKind.Flag => text.ToLowerInvariant() switch
            {
                "yes" => true,
                "no" => false,
                _ => throw No(key, text, "`yes` or `no`"),
            },
            KeyKind.Words =>
                text.Split([',', '\n'], StringSplitOptions.RemoveEmptyEntries | StringSplitOptions.TrimEntries),
            KeyKind.Text or KeyKind.Choice => text,
            _ when text.Length == 0 => null,
            KeyKind.Length =>
                LengthText.TryParse(text, house.Unit, out var l, out var why)
                    ? l.Millimetres
                    : throw new Refusal(key.Name, why),
            KeyKind.Size =>
                LengthText.TryParseSize(text, house.Unit, out var s, out var why)
                    ? new[] { s.Width.Millimetres, s.Height.Millimetres }
                    : throw new Refusal(key.Name, why),
            KeyKind.Mix =>
                text.TrimEnd('%').Split([' ', ','], StringSplitOptions.RemoveEmptyEntries).Select(p => Number(key, p))
                    .ToArray(),
            _ =>
                Number(key,
                    key.Unit.Length > 0 && text.EndsWith(key.Unit, StringComparison.OrdinalIgnoreCase)
                        ? text[..^key.Unit.Length]
                        : text),
        };
        return HouseFile.Checked(key.Read(house, JsonSerializer.SerializeToElement(value)));
    }

    /// <summary>“Cream 90; 0.135 mm; 90 g/m²; 24 to 828 pages”.</summary>
    private static string PaperLine(Paper p)
    {
        var pages = (p.PagesLeast, p.PagesMost) switch
        {
            (null, null) => "",
            (null, { } most) => $"; up to {most} pages",
            ({ } least, null) => $"; from {least} pages",
            ({ } least, { } most) => $"; {least} to {most} pages",
        };
        return $"{p.Name}; {p.Leaf.Show()}{(p.Grammage is { } g ? $"; {Figure(g)} g/m²" : "")}{pages}";
    }

    private static Dictionary<string, object> ReadPaper(HouseKey key, string line)
    {
        var parts = line.Split(';', StringSplitOptions.TrimEntries);
        if (parts.Length < 2)
            throw No(key, line,
                "a name, a leaf's thickness, and what else is known: `Cream 90; 0.135 mm; 90 g/m²; 24 to 828 pages`");
        var d = new Dictionary<string, object> { ["name"] = parts[0] };
        if (!LengthText.TryParse(parts[1], Unit.Millimetre, out var leaf, out _))
            throw No(key, parts[1], "a leaf's thickness, such as `0.135 mm`");
        d["leaf_mm"] = leaf.Millimetres;
        foreach (var part in parts.Skip(2).Where(p => p.Length > 0))
        {
            var figures = part.Split(' ', StringSplitOptions.RemoveEmptyEntries).Select(w => LengthText.Number(w))
                .OfType<decimal>().ToList();
            if (part.EndsWith("g/m²", StringComparison.Ordinal) || part.EndsWith("gsm", StringComparison.Ordinal))
                d["gsm"] = Number(key,
                    part.Replace("g/m²", "", StringComparison.Ordinal).Replace("gsm", "", StringComparison.Ordinal));
            else if (part.StartsWith("up to", StringComparison.Ordinal) && figures.Count == 1)
                d["pages_max"] = figures[0];
            else if (part.StartsWith("from", StringComparison.Ordinal) && figures.Count == 1)
                d["pages_min"] = figures[0];
            else if (part.EndsWith("pages", StringComparison.Ordinal) && figures.Count == 2)
                (d["pages_min"], d["pages_max"]) = (figures[0], figures[1]);
            else throw No(key, part, "`90 g/m²`, `24 to 828 pages`, `from 24 pages` or `up to 828 pages`");
        }
        return d;
    }

    private static object[] ReadTrim(HouseKey key, string line, Unit unit)
    {
        var parts = line.Split(';', 2, StringSplitOptions.TrimEntries);
        if (!LengthText.TryParseSize(parts[0], unit, out var size, out var why)) throw new Refusal(key.Name, why);
        return [size.Width.Millimetres, size.Height.Millimetres, parts.Length > 1 ? parts[1] : size.Show(unit)];
    }

    private static string[] Lines(string text) =>
        text.Split('\n', StringSplitOptions.RemoveEmptyEntries | StringSplitOptions.TrimEntries);

    private static decimal Number(HouseKey key, string text) =>
        LengthText.Number(text) is { } n ? n : throw No(key, text, "a figure");

    private static string Figure(decimal d) => d.ToString("0.####", CultureInfo.InvariantCulture);

    private static Refusal No(HouseKey key, string text, string wanted) =>
        new(key.Name, $"`{LengthText.Clip(text)}` can’t be {key.Label}: it takes {wanted}");
}
