using System.Text.RegularExpressions;

namespace Lumbeck.Core.Colour;

/// <summary>Process ink in hundredths of a percent of cyan, magenta, yellow and black, each 0 to 10,000.</summary>
public readonly record struct Ink(int C, int M, int Y, int K)
{
    public static Ink Black => new(0, 0, 0, 10_000);
    /// <summary>Bare paper: no ink, and what lies beneath knocked out.</summary>
    public static Ink White => default;

    /// <summary>From percent, each 0 to 100, kept to 0.01 %.</summary>
    /// <exception cref="ArgumentOutOfRangeException">A share outside 0 to 100.</exception>
    public static Ink Percent(decimal c, decimal m, decimal y, decimal k)
    {
        foreach (var share in (ReadOnlySpan<decimal>)[c, m, y, k])
            if (share is < 0 or > 100) throw new ArgumentOutOfRangeException(nameof(c), share, "An ink runs from 0 to 100 %.");
        return new((int)Math.Round(c * 100), (int)Math.Round(m * 100), (int)Math.Round(y * 100), (int)Math.Round(k * 100));
    }

    /// <summary>A tint: every ink at this many hundredths of a percent of itself.</summary>
    public Ink Tint(int share) => new((int)((long)C * share / 10_000), (int)((long)M * share / 10_000), (int)((long)Y * share / 10_000), (int)((long)K * share / 10_000));

    /// <summary>“82 38 56 32”, in percent.</summary>
    public override string ToString() => string.Create(CultureInfo.InvariantCulture, $"{C / 100m:0.##} {M / 100m:0.##} {Y / 100m:0.##} {K / 100m:0.##}");
}

/// <summary>What a shape is painted with.</summary>
[System.Text.Json.Serialization.JsonPolymorphic(TypeDiscriminatorPropertyName = "is")]
[System.Text.Json.Serialization.JsonDerivedType(typeof(InkPaint), "ink")]
[System.Text.Json.Serialization.JsonDerivedType(typeof(SwatchPaint), "swatch")]
public abstract record Paint;

/// <summary>A mix given in numbers, which leave in exactly those numbers.</summary>
public sealed record InkPaint(Ink Ink) : Paint;

/// <summary>A swatch of the job, whole or as a tint in hundredths of a percent (10,000 = solid).</summary>
public sealed record SwatchPaint(string Swatch, int Tint = 10_000) : Paint;

/// <summary>A named mix of the job; changing it changes every use.</summary>
public sealed record Swatch(string Id, string Name, Ink Ink);

/// <summary>Paint as people type and read it.</summary>
public static partial class PaintText
{
    [GeneratedRegex(@"^(?<name>.+?)\s+(?:at\s+)?(?<tint>\d+(?:[.,]\d+)?)\s*%$", RegexOptions.CultureInvariant)]
    private static partial Regex Tinted();

    [GeneratedRegex(@"[\s,;/%]+", RegexOptions.CultureInvariant)]
    private static partial Regex Gaps();

    /// <summary>Reads a swatch's name, a tint of one (<c>Estuary 30 %</c>), <c>black</c>, <c>white</c> or four percentages (<c>82 38 56 32</c>).</summary>
    public static bool TryParse(string text, IReadOnlyList<Swatch> swatches, out Paint paint, out string why)
    {
        text = text.Trim();
        why = "";
        paint = new InkPaint(Ink.Black);
        if (Named(text, swatches) is { } whole) { paint = new SwatchPaint(whole.Id); return true; }
        if (text.Equals("black", StringComparison.OrdinalIgnoreCase)) return true;
        if (text.Equals("white", StringComparison.OrdinalIgnoreCase)) { paint = new InkPaint(Ink.White); return true; }
        if (Tinted().Match(text) is { Success: true } tinted && Named(tinted.Groups["name"].Value, swatches) is { } tintOf)
        {
            if (LengthText.Number(tinted.Groups["tint"].Value) is { } share and >= 0 and <= 100) { paint = new SwatchPaint(tintOf.Id, (int)Math.Round(share * 100)); return true; }
            why = $"a tint of {tintOf.Name} runs from 0 to 100 %";
            return false;
        }
        if (TryParseInk(text, out var ink, out why)) { paint = new InkPaint(ink); return true; }
        if (text.Length > 0 && !char.IsDigit(text[0]))
            why = $"no swatch here is called `{LengthText.Clip(text)}`: pick one of {string.Join(", ", swatches.Select(s => s.Name).DefaultIfEmpty("none yet"))}, or type four inks such as `0 0 0 100`";
        return false;
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
            why = $"{(string[])["cyan", "magenta", "yellow", "black"] switch { var names => names[over] }} at {parts[over]!.Value.ToString(CultureInfo.InvariantCulture)} %: an ink runs from 0 to 100 %";
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
        SwatchPaint s => swatches.FirstOrDefault(w => w.Id == s.Swatch)?.Name + (s.Tint == 10_000 ? "" : string.Create(CultureInfo.InvariantCulture, $" {s.Tint / 100m:0.##} %")),
        _ => "",
    };

    /// <summary>The ink a paint lays down; a swatch that is gone prints nothing.</summary>
    public static Ink Resolve(this Paint paint, IReadOnlyList<Swatch> swatches) => paint switch
    {
        InkPaint p => p.Ink,
        SwatchPaint p => swatches.FirstOrDefault(s => s.Id == p.Swatch)?.Ink.Tint(p.Tint) ?? Ink.White,
        _ => Ink.White,
    };

    private static Swatch? Named(string name, IReadOnlyList<Swatch> swatches) =>
        swatches.FirstOrDefault(s => s.Name.Equals(name, StringComparison.OrdinalIgnoreCase));
}
