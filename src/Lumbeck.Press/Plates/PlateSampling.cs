using Lumbeck.Press.Codes;
using Lumbeck.Press.Colour;

namespace Lumbeck.Press.Plates;

/// <summary>Paints a sheet for the rules that look at plates.</summary>
public static class PlateSampling
{
    /// <summary>Press resolution: a pixel is under 0.1 mm.</summary>
    public const double Exact = 300;

    /// <summary>While people work: enough for contrast, ink and bars.</summary>
    public const double Beside = 150;

    private const int MostSamples = 400;

    /// <param name="painter">In the house's condition.</param>
    /// <param name="scene">The sheet.</param>
    /// <param name="take">Its items.</param>
    /// <param name="condition">The house's.</param>
    /// <param name="perInch">Pixels an inch; as many as can be painted of a sheet too large for them.</param>
    public static PlateContext Look(this PlatePainter painter, Scene scene, Take take, PrintingCondition condition,
        double perInch)
    {
        var whole = new Bounds(0, 0, scene.Width, scene.Height);
        perInch = Math.Min(perInch, Math.Sqrt((PlatePainter.MostPixels - 200_000) / (scene.Width * scene.Height)) * 72);
        var letters = new Dictionary<string, IReadOnlyList<Behind>>();
        void told(DrawnItem drawn, GlyphMark mark, CoverageMask mask, Plates on)
        {
            if (mark.Finish is not null || take.Items.FirstOrDefault(i => i.Id == drawn.Item) is not TextItem) return;
            if (!letters.TryGetValue(drawn.Item, out var runs)) letters[drawn.Item] = runs = new List<Behind>();
            var ink = mark.Gradient is { } run
                ? run.Stops.MinBy(s => s.Ink.C + s.Ink.M + s.Ink.Y + s.Ink.K).Ink
                : mark.Ink;
            ((List<Behind>)runs)
                .Add(new(ink, mark.Overprint && mark.Gradient is null, mark.Size, mark.Face.Weight, Samples(mask, on)));
        }
        var plates = painter.Paint(scene, whole, perInch, new Painting { Letters = told });
        var table = ScreenTable.Of(condition.Profile);
        double luminance(uint inks) => Luminance(table, inks);
        PlateContext look = null!;
        look = new PlateContext(plates.Wide, plates.High, perInch, plates.Inks)
        {
            Letters = letters,
            Finishes = plates.Finishes,
            InShops = InShops(painter, scene, take, luminance),
            Luminance = luminance,
            Decode = place => Read(painter, scene, place, look),
        };
        return look;
    }

    /// <summary>What is read in a place, at press resolution.</summary>
    private static IReadOnlyList<string> Read(PlatePainter painter, Scene scene, Box place, PlateContext look)
    {
        if (look.PerInch >= Exact - 1) return CodeReading.Read(look, place);
        var plates = painter.Paint(scene, Bounds.Of(place),
            Exact);
        return CodeReading.Read(look with
        {
            Wide = plates.Wide,
            High = plates.High,
            PerInch = Exact,
            Inks = plates.Inks,
            Finishes = plates.Finishes
        },
            new(default, default, place.Width, place.Height));
    }

    /// <summary>What lies under a mask, evenly spread over it.</summary>
    private static List<uint> Samples(CoverageMask mask, Plates on)
    {
        var under = new List<uint>();
        var pixels = System.Runtime.InteropServices.MemoryMarshal.Cast<byte, uint>(on.Inks.AsSpan());
        var t = mask.Touched;
        var step = Math.Max(1, t.Width * t.Height / 40_000);
        for (var i = 0; i < t.Width * t.Height; i += step)
        {
            var (x, y) = (t.Left + (i % t.Width), t.Top + (i / t.Width));
            if (mask.Row(y)[x] >= 128) under.Add(pixels[(y * on.Wide) + x]);
        }
        if (under.Count <= MostSamples) return under;
        var every = (double)under.Count / MostSamples;
        return [.. Enumerable.Range(0, MostSamples).Select(i => under[(int)(i * every)])];
    }

    /// <summary>The front 160 pixels high, with each title on it and without.</summary>
    private static Dictionary<string,
        IReadOnlyList<(double, double)>> InShops(PlatePainter painter, Scene scene, Take take,
            Func<uint, double> luminance)
    {
        var seen = new Dictionary<string, IReadOnlyList<(double, double)>>();
        if (scene.Surface.Panel(Part.Front)?.Face is not { IsEmpty: false } front) return seen;
        var window = Bounds.Of(front);
        for (var i = 0; i < scene.Items.Length; i++)
        {
            if (scene.Items[i] is not { Inked.IsEmpty: false, Panel: Part.Front } drawn
                || take.Items.FirstOrDefault(t => t.Id == drawn.Item) is not TextItem { Role: TextRole.Title })
                continue;
            var (with, without) = (painter.Paint(scene, window, 160 * 72 / (window.Bottom - window.Top), i + 1),
                painter.Paint(scene, window, 160 * 72 / (window.Bottom - window.Top), i));
            var a = System.Runtime.InteropServices.MemoryMarshal.Cast<byte, uint>(with.Inks.AsSpan());
            var b = System.Runtime.InteropServices.MemoryMarshal.Cast<byte, uint>(without.Inks.AsSpan());
            var differ = new List<(double, double)>();
            for (var p = 0; p < a.Length; p++)
                if (a[p] != b[p] && (luminance(a[p]), luminance(b[p])) is var (w, o) && Math.Abs(w - o) > 0.01)
                    differ.Add((w, o));
            seen[drawn.Item] = differ;
        }
        return seen;
    }

    /// <summary>Relative luminance of sRGB (IEC 61966-2-1; WCAG 2).</summary>
    private static double Luminance(ScreenTable table, uint inks)
    {
        Span<byte> rgb = stackalloc byte[3];
        table.One([(byte)inks, (byte)(inks >> 8), (byte)(inks >> 16), (byte)(inks >> 24)], rgb);
        static double linear(byte v) =>
            v / 255.0 is var c && c <= 0.04045 ? c / 12.92 : Math.Pow((c + 0.055) / 1.055, 2.4);
        return (0.2126 * linear(rgb[0])) + (0.7152 * linear(rgb[1])) + (0.0722 * linear(rgb[2]));
    }
}
