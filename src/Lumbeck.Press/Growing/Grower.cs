using Lumbeck.Press.Pictures;
using NetVips;

namespace Lumbeck.Press.Growing;

/// <summary>
/// What growing a picture gave: how large it is, and how unlike synthesis's squares are to what they stand for, in
/// levels of 255 (0 for other ways).
/// </summary>
public sealed record GrownResult(int Wide, int High, double Difference);

/// <summary>Grows pictures beyond their edges (Growing says which, and how far).</summary>
public static class Grower
{
    /// <summary>Changes when the same recipe comes to give other pixels.</summary>
    public const int Version = 1;

    /// <summary>A preview has no more pixels across than this.</summary>
    public const int PreviewWide = 1200;

    /// <summary>Most pixels of the whole.</summary>
    public const int MostPixels = 15_000_000;

    /// <summary>Above this many levels of difference a synthesis shows, as a rule.</summary>
    public const double Shows = 14;

    /// <summary>Grows a picture and writes the whole of it as a JPEG in the picture's own colours.</summary>
    /// <param name="path">The kept picture.</param>
    /// <param name="how">The recipe.</param>
    /// <param name="wide">Pixels across the whole at press resolution.</param>
    /// <param name="preview">Whether a preview is enough: the same, by halves coarser.</param>
    /// <param name="output">Where it is written.</param>
    /// <param name="told">Is told the share that is done, from 0 to 1.</param>
    /// <param name="cancel">Ends it.</param>
    /// <exception cref="Refusal">The picture is not here, or can't be read any more.</exception>
    public static GrownResult Make(string path, Grown how, int wide, bool preview, string output,
        Action<double>? told = null, CancellationToken cancel = default)
    {
        var coarse = 0;
        while ((wide >> coarse) > PreviewWide) coarse++;
        var halves = preview ? coarse : 0;
        var source = new Source(path, how, wide, coarse);
        var (pw, ph) = source.Size(halves);
        var pm = source.Margins(halves);
        // What a scene asks for is within this; an address could ask for anything.
        if ((double)(pw + pm.Left + pm.Right) * (ph + pm.Top + pm.Bottom) > MostPixels)
            throw new Refusal("picture",
                $"growing it to {pw + pm.Left + pm.Right} × {ph + pm.Top + pm.Bottom} pixels is more than can be " +
                    $"made: up to {MostPixels / 1_000_000} million");
        var difference = 0.0;
        PixelGrid whole;
        if (how.Way == GrowWay.Synthesis)
        {
            var full = source.Margins(0);
            var (w, h) = source.Size(0);
            var levels = Math.Max(halves + 1, Synthesis.Levels(w, h, full));
            (whole, difference) = Synthesis.Make(source.Level, source.Margins, levels, halves, how.Seed, told, cancel);
        }
        else
        {
            var (known, m) = (source.Level(halves), source.Margins(halves));
            whole = how.Way switch
            {
                GrowWay.Stretch => PlainWays.Stretch(known, m),
                GrowWay.Soft => PlainWays.Soft(known, m, source.Blur),
                _ => PlainWays.Mirror(known, m),
            };
        }
        cancel.ThrowIfCancellationRequested();
        source.Save(whole, output);
        told?.Invoke(1);
        return new(whole.Wide, whole.High, difference);
    }

    /// <summary>The part of a picture that shows, at any halving, and how its pixels are read and written.</summary>
    /// <param name="path">The kept picture.</param>
    /// <param name="how">The recipe.</param>
    /// <param name="wide">Pixels across the whole.</param>
    /// <param name="coarse">The halving of a preview; those beyond it are made from it, so that a preview is what the
    /// whole will be.</param>
    private sealed class Source(string path, Grown how, int wide, int coarse)
    {
        private int _bands;
        private Enums.Interpretation _space;
        private byte[]? _profile;

        /// <summary>Size in pixels of the part that shows.</summary>
        public (int Wide, int High) Size(int halving)
        {
            if (halving > coarse)
                return (Math.Max(Patches.Side, Size(coarse).Wide >> (halving - coarse)),
                    Math.Max(Patches.Side, Size(coarse).High >> (halving - coarse)));
            var w = wide / (1 + how.Left + how.Right) / (1 << halving);
            return ((int)Math.Max(Patches.Side, Math.Round(w)),
                (int)Math.Max(Patches.Side, Math.Round(w * Proportion)));
        }

        // How high the part is for its width.
        private double Proportion => _proportion ??= Measure();
        private double? _proportion;

        private double Measure()
        {
            using var image = Whole(0);
            return image.Height * how.H / (image.Width * how.W);
        }

        public Margins Margins(int halving)
        {
            var (w, h) = Size(halving);
            static int side(double share, int of) => (int)Math.Ceiling(share * of);
            return new(side(how.Left, w), side(how.Top, h), side(how.Right, w), side(how.Bottom, h));
        }

        private PixelGrid? _coarse;

        public PixelGrid Level(int halving)
        {
            if (halving < coarse) return Load(halving);
            var grid = _coarse ??= Load(coarse);
            for (var h = coarse; h < halving; h++) grid = Halved(grid, Size(h + 1));
            return grid;
        }

        private static PixelGrid Halved(PixelGrid from, (int Wide, int High) size)
        {
            var to = new PixelGrid(size.Wide, size.High);
            for (var y = 0; y < to.High; y++)
                for (var x = 0; x < to.Wide; x++)
                {
                    var (x0, y0, x1, y1) = (Math.Min(2 * x, from.Wide - 1), Math.Min(2 * y, from.High - 1),
                        Math.Min((2 * x) + 1, from.Wide - 1), Math.Min((2 * y) + 1, from.High - 1));
                    for (var i = 0; i < 4; i++)
                        to.Pixel(x, y)[i] = (byte)((from.Pixel(x0, y0)[i] + from.Pixel(x1, y0)[i]
                        + from.Pixel(x0, y1)[i] + from.Pixel(x1, y1)[i] + 2) / 4);
                }
            return to;
        }

        private PixelGrid Load(int halving)
        {
            var (w, h) = Size(halving);
            using var whole = Whole((int)(w / how.W));
            using var mirrored = Mirrored(whole);
            var (l, t) = ((int)Math.Round(how.X * mirrored.Width), (int)Math.Round(how.Y * mirrored.Height));
            using var part = mirrored.ExtractArea(Math.Min(l, mirrored.Width - 1), Math.Min(t, mirrored.Height - 1),
                Math.Clamp((int)Math.Round(how.W * mirrored.Width), 1,
                    mirrored.Width - Math.Min(l, mirrored.Width - 1)),
                Math.Clamp((int)Math.Round(how.H * mirrored.Height), 1,
                    mirrored.Height - Math.Min(t, mirrored.Height - 1)));
            using var sized = part.Width == w && part.Height == h
                ? part.Copy()
                : part.Resize((double)w / part.Width, vscale: (double)h / part.Height);
            using var exact = sized.Width == w && sized.Height == h
                ? sized.Copy()
                : sized.Embed(0, 0, w, h, extend: Enums.Extend.Copy);
            _profile ??= exact.Contains("icc-profile-data") ? (byte[])exact.Get("icc-profile-data") : null;
            return Read(exact);
        }

        private Image Whole(int about)
        {
            using var image = PictureReading.Open(path, "the picture", about);
            var turned = image.Contains("orientation")
                && Convert.ToInt32(image.Get("orientation"), CultureInfo.InvariantCulture) > 1;
            using var upright = turned ? image.CopyMemory().Autorot() : image.Copy();
            using var flat = upright.HasAlpha() ? upright.ExtractBand(0, n: upright.Bands - 1) : upright.Copy();
            return flat.Format == Enums.BandFormat.Ushort
                ? (flat / 257).Cast(Enums.BandFormat.Uchar)
                    .Copy(interpretation: flat.Bands >= 4 ? Enums.Interpretation.Cmyk : flat.Bands >= 3
                        ? Enums.Interpretation.Srgb : Enums.Interpretation.Bw)
                : flat.Copy();
        }

        private Image Mirrored(Image image)
        {
            if (how.Flip == Flip.None) return image.Copy();
            using var held = image.CopyMemory();
            using var across = how.Flip.HasFlag(Flip.Across) ? held.FlipHor() : held.Copy();
            return how.Flip.HasFlag(Flip.Down) ? across.FlipVer() : across.Copy();
        }

        private PixelGrid Read(Image image)
        {
            (_bands, _space) = (image.Bands, image.Interpretation);
            var bytes = image.WriteToMemory<byte>();
            if (_bands == 4) return new(image.Width, image.Height, bytes);
            var grid = new PixelGrid(image.Width, image.Height);
            for (var (i, p) = (0, 0); p < grid.Bytes.Length; p += 4, i += _bands)
                for (var b = 0; b < 3; b++) grid.Bytes[p + b] = bytes[i + Math.Min(b, _bands - 1)];
            return grid;
        }

        private Image Written(PixelGrid grid)
        {
            using var four = Image.NewFromMemory(grid.Bytes, grid.Wide, grid.High, 4, Enums.BandFormat.Uchar);
            using var bands = _bands == 4 ? four.Copy() : four.ExtractBand(0, n: _bands == 1 ? 1 : 3);
            return bands.Copy(interpretation: _bands == 4 ? Enums.Interpretation.Cmyk : _bands == 1
                ? Enums.Interpretation.Bw : Enums.Interpretation.Srgb);
        }

        /// <summary>Blurs by so many pixels; what is blurred widely is blurred at a smaller size.</summary>
        public PixelGrid Blur(PixelGrid grid, double by)
        {
            using var image = Written(grid);
            var shrink = Math.Max(1, (int)(by / 3));
            using var small = shrink > 1 ? image.Resize(1.0 / shrink) : image.Copy();
            using var soft = small.Gaussblur(by / shrink);
            using var back = shrink > 1
                ? soft.Resize((double)grid.Wide / soft.Width, vscale: (double)grid.High / soft.Height)
                : soft.Copy();
            using var exact = back.Embed(0, 0, grid.Wide, grid.High, extend: Enums.Extend.Copy);
            return Read(exact.Cast(Enums.BandFormat.Uchar));
        }

        public void Save(PixelGrid whole, string output)
        {
            using var image = Written(whole);
            using var named = image.Mutate(m =>
                { if (_profile is { } p) m.Set(GValue.BlobType, "icc-profile-data", p); });
            named.Jpegsave(output, q: 95, subsampleMode: Enums.ForeignSubsample.Off, keep: Enums.ForeignKeep.Icc);
        }
    }
}
