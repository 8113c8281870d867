using System.Text.RegularExpressions;

namespace Lumbeck.Core.Colour;

/// <summary>Paint as people type and read it.</summary>
public static partial class PaintText
{
    [GeneratedRegex(@"^(?<name>.+?)\s+(?:at\s+)?(?<tint>\d+(?:[.,]\d+)?)\s*%$", RegexOptions.CultureInvariant)]
    private static partial Regex Tinted();

    [GeneratedRegex(@"[\s,;/%]+", RegexOptions.CultureInvariant)]
    private static partial Regex Gaps();

    [GeneratedRegex(@"\s+(?:to|→)\s+", RegexOptions.CultureInvariant | RegexOptions.IgnoreCase)]
    private static partial Regex To();

    [GeneratedRegex(@",?\s*(?<angle>[-−]?\d+(?:[.,]\d+)?)\s*°\s*$", RegexOptions.CultureInvariant)]
    private static partial Regex Angle();

    [GeneratedRegex(@"^(?<paint>.+?)\s*@\s*(?<at>\d+(?:[.,]\d+)?)\s*%$", RegexOptions.CultureInvariant)]
    private static partial Regex Placed();

    /// <summary>
    /// Reads a swatch's name, a tint of one (<c>Estuary 30 %</c>), <c>black</c>, <c>white</c>, four percentages (<c>82
    /// 38 56 32</c>), a finishing ink the house offers,
    /// or a gradient: <c>Night to Swell @ 40 % to Ice, 90°</c>, <c>round Moon to Night</c>.
    /// </summary>
    public static bool TryParse(string text, IReadOnlyList<Swatch> swatches, out Paint paint, out string why,
        IReadOnlyList<string>? finishes = null)
    {
        text = text.Trim();
        if (Named(text, swatches) is { } whole) { paint = new SwatchPaint(whole.Id); why = ""; return true; }
        // A swatch may have “to” in its name.
        var tintOf = Tinted().Match(text) is { Success: true } m && Named(m.Groups["name"].Value, swatches) is not null;
        return (!tintOf && To().IsMatch(text)) || text.StartsWith("round ", StringComparison.OrdinalIgnoreCase)
            ? TryParseGradient(text, swatches, out paint, out why)
            : TryParsePlain(text, swatches, finishes ?? [], out paint, out why);
    }

    private static bool TryParsePlain(string text, IReadOnlyList<Swatch> swatches, IReadOnlyList<string> finishes,
        out Paint paint, out string why)
    {
        why = "";
        paint = new InkPaint(Ink.Black);
        if (Named(text, swatches) is { } whole) { paint = new SwatchPaint(whole.Id); return true; }
        var tinted = Tinted().Match(text);
        var tint = tinted.Success ? LengthText.Number(tinted.Groups["tint"].Value) : 100;
        var name = tinted.Success ? tinted.Groups["name"].Value : text;
        // “white” alone is bare paper, as it always was; the ink of that name says so.
        if (finishes.FirstOrDefault(f =>
            f.Equals(name, StringComparison.OrdinalIgnoreCase)
                || $"{f} ink".Equals(name, StringComparison.OrdinalIgnoreCase)) is { } finish
            && !(name.Equals("white", StringComparison.OrdinalIgnoreCase) && !tinted.Success))
        {
            if (tint is >= 0 and <= 100)
            {
                paint = new FinishPaint(finish, (int)Math.Round(tint.Value * 100));
                return true;
            }
            why = $"a tint of {finish} runs from 0 to 100 %";
            return false;
        }
        if (text.Equals("black", StringComparison.OrdinalIgnoreCase)) return true;
        if (text.Equals("white", StringComparison.OrdinalIgnoreCase)) { paint = new InkPaint(Ink.White); return true; }
        if (tinted.Success && Named(name, swatches) is { } tintOf)
        {
            if (tint is >= 0 and <= 100)
            {
                paint = new SwatchPaint(tintOf.Id, (int)Math.Round(tint.Value * 100));
                return true;
            }
            why = $"a tint of {tintOf.Name} runs from 0 to 100 %";
            return false;
        }
        if (TryParseInk(text, out var ink, out why)) { paint = new InkPaint(ink); return true; }
        if (text.Length > 0 && !char.IsDigit(text[0]))
            why = $"no swatch here is called `{LengthText.Clip(text)}`: pick one of " +
                $"{string.Join(", ", swatches.Select(s => s.Name).Concat(finishes).DefaultIfEmpty("none yet"))}, or " +
                $"type four inks such as `0 0 0 100`";
        return false;
    }

    private static bool TryParseGradient(string text, IReadOnlyList<Swatch> swatches, out Paint paint, out string why)
    {
        paint = new InkPaint(Ink.Black);
        var round = text.StartsWith("round ", StringComparison.OrdinalIgnoreCase);
        if (round) text = text[6..].TrimStart();
        var turned = Angle().Match(text);
        var angle = turned.Success ? LengthText.Number(turned.Groups["angle"].Value.Replace('−', '-')) ?? 0 : 0;
        if (turned.Success) text = text[..turned.Index];
        var parts = To().Split(text);
        if (parts.Length < 2)
        {
            why = "a gradient runs between two colours or more: type `Night to Ice`";
            return false;
        }
        if (parts.Length > GradientPaint.MostStops)
        {
            why = $"{parts.Length} colours are more than a gradient takes: up to {GradientPaint.MostStops}";
            return false;
        }
        var stops = ImmutableList.CreateBuilder<Stop>();
        for (var i = 0; i < parts.Length; i++)
        {
            var placed = Placed().Match(parts[i].Trim());
            if (!TryParsePlain(placed.Success ? placed.Groups["paint"].Value : parts[i].Trim(), swatches, [],
                out var stop, out why))
                return false;
            var at = placed.Success
                ? (int)Math.Round((LengthText.Number(placed.Groups["at"].Value) ?? 0) * 100)
                : i * 10_000 / (parts.Length - 1);
            if (at > 10_000 || (stops.Count > 0 && at < stops[^1].At))
            {
                why = $"{at / 100m:0.##} % can’t be where " +
                $"colour {i + 1} stands: from {(stops.Count > 0 ? stops[^1].At / 100m : 0):0.##} to 100 %"; return false;
            }
            stops.Add(new(stop, at));
        }
        why = "";
        paint = new GradientPaint(round ? Run.Round : Run.Straight, round ? 0 : ((angle % 360) + 360) % 360,
            stops.ToImmutable());
        return true;
    }

    /// <summary>Reads four percentages of cyan, magenta, yellow and black.</summary>
    public static bool TryParseInk(string text, out Ink ink, out string why)
    {
        ink = default;
        var parts = Gaps().Split(text.Trim()).Where(p => p.Length > 0).Select(LengthText.Number).ToArray();
        if (parts.Length != 4 || parts.Any(p => p is null))
        {
            why = $"`{LengthText.Clip(text)}` is no mix: type cyan, magenta, yellow and black in percent, such as `82 38 56 32`";
            return false;
        }
        var over = Array.FindIndex(parts, p => p is < 0 or > 100);
        if (over >= 0)
        {
            why = $"{(string[])["cyan", "magenta", "yellow", "black"] switch { var names => names[over] }} at " +
                $"{parts[over]!.Value.ToString(CultureInfo.InvariantCulture)} %: an ink runs from 0 to 100 %";
            return false;
        }
        ink = Ink.Percent(parts[0]!.Value, parts[1]!.Value, parts[2]!.Value, parts[3]!.Value);
        why = "";
        return true;
    }

    /// <summary>A paint as it would be typed.</summary>
    public static string Show(this Paint? paint, IReadOnlyList<Swatch> swatches) => paint switch
    {
        null => "none",
        InkPaint { Ink: var ink } when ink == Ink.Black => "black",
        InkPaint { Ink: var ink } when ink == Ink.White => "white",
        InkPaint { Ink: var ink } => ink.ToString(),
        SwatchPaint s => swatches.FirstOrDefault(w => w.Id == s.Swatch)?.Name + Tint(s.Tint),
        FinishPaint f => (f.Finish.Equals("white", StringComparison.OrdinalIgnoreCase) ? "white ink"
            : f.Finish) + Tint(f.Tint),
        GradientPaint g => (g.Run == Run.Round ? "round " : "") + string.Join(" to ",
            g.Stops.Select((s, i) =>
                s.Paint.Show(swatches) + (s.At == i * 10_000 / (g.Stops.Count - 1) ? ""
                    : string.Create(CultureInfo.InvariantCulture,
                        $" @ {s.At / 100m:0.##} %")))) + (g.Run == Run.Straight
                && g.Angle != 0
                ? string.Create(CultureInfo.InvariantCulture, $", {g.Angle:0.##}°")
                : ""),
        _ => "",
    };

    private static string Tint(int tint) =>
        tint == 10_000 ? "" : string.Create(CultureInfo.InvariantCulture, $" {tint / 100m:0.##} %");

    /// <summary>
    /// The process ink a paint lays down: a gradient's first, a finishing ink's likeness; a swatch that is gone prints
    /// nothing.
    /// </summary>
    public static Ink Resolve(this Paint paint, IReadOnlyList<Swatch> swatches) => paint switch
    {
        InkPaint p => p.Ink,
        SwatchPaint p => swatches.FirstOrDefault(s => s.Id == p.Swatch)?.Ink.Tint(p.Tint) ?? Ink.White,
        FinishPaint p => Finishes.Likeness(p.Finish).Tint(p.Tint),
        GradientPaint p => p.Stops[0].Paint.Resolve(swatches),
        _ => Ink.White,
    };

    private static Swatch? Named(string name, IReadOnlyList<Swatch> swatches) =>
        swatches.FirstOrDefault(s => s.Name.Equals(name, StringComparison.OrdinalIgnoreCase));
}
