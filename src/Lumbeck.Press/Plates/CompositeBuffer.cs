using System.Runtime.InteropServices;

namespace Lumbeck.Press.Plates;

/// <summary>
/// Where marks are laid down: the sheet itself, which is paper where nothing lies, or a group that is mixed as one (ISO
/// 32000-1, 11.4).
/// All in ink: 255 is all of it, and mixing works on what paper is left, as 11.3.4 has it for subtractive spaces.
/// </summary>
/// <remarks>
/// A group that is laid plainly sees what lies under it, so that what overprints in it leaves that as it is. One that
/// multiplies or screens stands by itself (11.4.5):
/// what overprints keeps the group's own parts alone, for what lies under it is mixed in once the group is whole.
/// </remarks>
internal sealed class CompositeBuffer
{
    private readonly int _wide;
    private readonly byte[]? _alpha;
    private readonly CompositeBuffer? _under;
    private readonly SortedDictionary<string, SpotBuffer> _finishes = new(StringComparer.Ordinal);
    private SpotBuffer[] _plates = [];
    private bool _alone;
    private CompositeBuffer? _group;

    private CompositeBuffer(int wide, byte[] inks, byte[]? alpha, CompositeBuffer? under) =>
        (_wide, Inks, _alpha, _under) = (wide, inks, alpha, under);

    public byte[] Inks { get; }

    private Span<uint> Pixels(int first, int count) =>
        MemoryMarshal.Cast<byte, uint>(Inks.AsSpan(first * 4, count * 4));

    public static CompositeBuffer Sheet(Plates plates)
    {
        var sheet = new CompositeBuffer(plates.Wide, plates.Inks, null, null);
        foreach (var (name, tints) in plates.Finishes) sheet._finishes[name] = new(plates.Wide, tints, null, null);
        sheet._plates = [.. sheet._finishes.Values];
        return sheet;
    }

    /// <summary>
    /// The group over this layer, empty: one at a time, to be mixed before the next. It stands alone where it will be
    /// mixed by more than its opacity.
    /// </summary>
    public CompositeBuffer Group(bool alone)
    {
        if (_group is null)
        {
            _group = new(_wide, new byte[Inks.Length], new byte[Inks.Length / 4], this);
            foreach (var (name, plate) in _finishes) _group._finishes[name] = plate.Group();
            _group._plates = [.. _group._finishes.Values];
        }
        _group._alone = alone;
        foreach (var plate in _group._finishes.Values) plate.Alone = alone;
        return _group;
    }

    /// <summary>The plate of a finishing ink.</summary>
    public SpotBuffer Finish(string name) => _finishes[name];

    /// <summary>
    /// Lays one ink along a row, from a pixel on, as far as it is covered; an overprinting ink leaves plates it has no
    /// share in as they are.
    /// </summary>
    public void Row(int first, ReadOnlySpan<byte> cover, CmykPixel ink, int strength, bool overprint)
    {
        var whole = !overprint && strength == 256;
        var pixels = Pixels(first, cover.Length);
        for (var i = 0; i < cover.Length; i++)
        {
            if (cover[i] == 0)
            {
                var next = cover[i..].IndexOfAnyExcept((byte)0);
                if (next < 0) return;
                i += next;
            }
            if (whole && cover[i] == 255)
            {
                var run = Hidden(first + i, cover[i..]);
                pixels.Slice(i, run).Fill(ink.Bytes);
                i += run - 1;
            }
            else Lay(first + i, ink, cover[i] * strength >> 8, overprint);
        }
    }

    /// <summary>Lays inks of their own on the pixels of a row, from one on, as far as each is covered.</summary>
    public void Row(int first, ReadOnlySpan<byte> cover, ReadOnlySpan<uint> inks)
    {
        var pixels = Pixels(first, cover.Length);
        for (var i = 0; i < cover.Length; i++)
        {
            if (cover[i] != 255) { Lay(first + i, new(inks[i]), cover[i], false); continue; }
            var run = Hidden(first + i, cover[i..]);
            inks.Slice(i, run).CopyTo(pixels[i..]);
            i += run - 1;
        }
    }

    /// <summary>
    /// How many pixels from one on are covered whole; finishing inks are off them, and a group has all of them.
    /// </summary>
    private int Hidden(int first, ReadOnlySpan<byte> cover)
    {
        var run = cover.IndexOfAnyExcept((byte)255) is >= 0 and var end ? end : cover.Length;
        _alpha?.AsSpan(first, run).Fill(255);
        foreach (var plate in _plates) plate.Clear(first, run);
        return run;
    }

    /// <summary>
    /// Lays four inks on a pixel with a coverage from 0 to 255. What does not overprint takes finishing inks off where
    /// it lies, as it hides them.
    /// </summary>
    public void Lay(int pixel, CmykPixel ink, int coverage, bool overprint)
    {
        if (coverage == 0) return;
        if (!overprint) foreach (var plate in _plates) plate.Lay(pixel, 0, coverage);
        Put(pixel, ink, coverage, overprint);
    }

    private void Put(int pixel, CmykPixel ink, int coverage, bool overprint)
    {
        ref var here = ref Pixels(pixel, 1)[0];
        int before = _alpha is null ? 255 : _alpha[pixel];
        if (!overprint && (coverage == 255 || before == 0)) here = ink.Bytes;
        else if (before == 255) here = CmykPixel.Over(here, ink.Bytes, coverage, overprint).Bytes;
        else Mixed(pixel * 4, ink, coverage, overprint, before);
        if (_alpha is not null) _alpha[pixel] = (byte)Union(before, coverage);
    }

    private static int Union(int before, int coverage) => before + coverage - Div(before * coverage);

    /// <summary>
    /// Lays four inks multiplied with what is seen there (11.3.5.2); a plate of a finishing ink has only its paper to
    /// multiply with, where a group stands alone.
    /// </summary>
    public void Multiply(int pixel, CmykPixel ink, int coverage)
    {
        if (coverage == 0) return;
        if (_alone) foreach (var plate in _plates) plate.Multiply(pixel, 0, coverage);
        var at = pixel * 4;
        int both(int i, int s)
        {
            var b = _alpha is null ? Inks[at + i] : Seen(at + i, _alpha[pixel]);
            return b + s - Div(b * s);
        }
        Put(pixel, CmykPixel.Of(both(0, ink.C), both(1, ink.M), both(2, ink.Y), both(3, ink.K)), coverage, false);
    }

    /// <summary>
    /// What is seen on a plate within a group: its own, and through what it has not covered what lies under it; paper
    /// where it stands alone.
    /// </summary>
    private int Seen(int at, int covered) =>
        _alone ? Div(covered * Inks[at]) : Div((covered * Inks[at]) + ((255 - covered) * _under!.Inks[at]));

    /// <summary>Lays inks on what a group has here so far, which does not cover all of the pixel.</summary>
    private void Mixed(int at, CmykPixel ink, int coverage, bool overprint, int before)
    {
        var after = Union(before, coverage);
        for (var i = 0; i < 4; i++)
        {
            var source = ink[i];
            var s = overprint && source == 0 ? Seen(at + i, before) : source;
            Inks[at + i] = (byte)Math.Clamp(
                ((s * coverage * 255) + (Inks[at + i] * before * (255 - coverage)) + (after * 127)) / (after * 255),
                0, 255);
        }
    }

    /// <summary>Lays this group on what is under it, and leaves it empty.</summary>
    public void Mix(double opacity, Blend blend, SkiaSharp.SKRectI within)
    {
        var share = (int)Math.Round(opacity * 256);
        Rows(within, row =>
        {
            var first = (row * _wide) + within.Left;
            var alpha = _alpha.AsSpan(first, within.Width);
            var own = Pixels(first, within.Width);
            var under = _under!.Pixels(first, within.Width);
            for (var i = 0; i < alpha.Length; i++)
            {
                var a = alpha[i] * share >> 8;
                if (a != 0) under[i] = CmykPixel.Mix(under[i], own[i], a, blend).Bytes;
            }
            own.Clear();
            alpha.Clear();
        });
        foreach (var plate in _finishes.Values) plate.Mix(share, blend, within);
    }

    /// <summary>Row by row, large parts on all cores.</summary>
    internal static void Rows(SkiaSharp.SKRectI within, Action<int> row)
    {
        if ((long)within.Width * within.Height > 100_000) Parallel.For(within.Top, within.Bottom, row);
        else for (var r = within.Top; r < within.Bottom; r++) row(r);
    }

    internal static int Div(int of255) => (of255 + 127) / 255;
}

/// <summary>
/// A finishing ink's plate. It lies over the process inks and leaves them as they are, so it has a coverage of its own:
/// its ink where that is laid,
/// none where something that does not overprint lies over it.
/// </summary>
internal sealed class SpotBuffer(int wide, byte[] tints, byte[]? alpha, SpotBuffer? under)
{
    private readonly byte[] _tints = tints;

    /// <summary>Whether it does not see what lies under it.</summary>
    public bool Alone { get; set; }

    public SpotBuffer Group() => new(wide, new byte[_tints.Length], new byte[_tints.Length], this);

    /// <summary>Lays a tint, from 0 to 255, on a pixel with a coverage from 0 to 255.</summary>
    public void Lay(int pixel, int tint, int coverage)
    {
        if (coverage == 0 || (alpha is null && tint == _tints[pixel])) return;
        if (alpha is null)
        {
            _tints[pixel] = (byte)CompositeBuffer.Div((_tints[pixel] * (255 - coverage)) + (tint * coverage));
            return;
        }
        int before = alpha[pixel];
        var after = before + coverage - CompositeBuffer.Div(before * coverage);
        _tints[pixel] = (byte)Math.Clamp(
            ((tint * coverage * 255) + (_tints[pixel] * before * (255 - coverage)) + (after * 127))
            / (after * 255), 0, 255);
        alpha[pixel] = (byte)after;
    }

    /// <summary>Takes the ink off a run of pixels.</summary>
    public void Clear(int pixel, int count)
    {
        _tints.AsSpan(pixel, count).Clear();
        alpha?.AsSpan(pixel, count).Fill(255);
    }

    /// <summary>Lays a tint multiplied with what is there.</summary>
    public void Multiply(int pixel, int tint, int coverage)
    {
        var b = alpha is null
            ? _tints[pixel]
            : CompositeBuffer.Div((alpha[pixel] * _tints[pixel]) + (Alone ? 0 : (255 - alpha[pixel]) * under!._tints[pixel]));
        Lay(pixel, b + tint - CompositeBuffer.Div(b * tint), coverage);
    }

    /// <summary>
    /// Lays this group's plate on the one under it. A plate that would be screened away is laid
    /// plainly: a finishing ink over paper that has none of it would never be seen.
    /// </summary>
    public void Mix(int share, Blend blend, SkiaSharp.SKRectI within) => CompositeBuffer.Rows(within, row =>
    {
        for (var pixel = (row * wide) + within.Left; pixel < (row * wide) + within.Right; pixel++)
        {
            var a = alpha![pixel] * share >> 8;
            if (a == 0) continue;
            int b = under!._tints[pixel], s = _tints[pixel];
            under._tints[pixel] = (byte)CompositeBuffer.Div(((255 - a) * b) + (a * (blend == Blend.Multiply
                ? b + s - CompositeBuffer.Div(b * s) : s)));
        }
        _tints.AsSpan((row * wide) + within.Left, within.Width).Clear();
        alpha!.AsSpan((row * wide) + within.Left, within.Width).Clear();
    });
}
