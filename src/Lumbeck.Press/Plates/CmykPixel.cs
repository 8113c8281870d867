using System.Runtime.Intrinsics;

namespace Lumbeck.Press.Plates;

/// <summary>The four inks of a pixel, a byte each, cyan lowest: 255 is all of an ink.</summary>
internal readonly record struct CmykPixel(uint Bytes)
{
    public static CmykPixel Of(int c, int m, int y, int k) => new((uint)(c | (m << 8) | (y << 16) | (k << 24)));

    public int C => this[0];
    public int M => this[1];
    public int Y => this[2];
    public int K => this[3];

    public int this[int ink] => (int)(Bytes >> (8 * ink)) & 255;

    /// <summary>
    /// An ink over what is there, as far as it covers, of 255. One that overprints leaves plates it has no share in as
    /// they are.
    /// </summary>
    public static CmykPixel Over(uint under, uint ink, int coverage, bool overprint)
    {
        var (b, s) = (Wide(under), Wide(ink));
        var mixed = Share(b, s, coverage);
        return Packed(overprint
            ? Vector128.ConditionalSelect(Vector128.Equals(s, Vector128<ushort>.Zero), b, mixed)
            : mixed);
    }

    /// <summary>A group's inks on what is under it (ISO 32000-1, 11.3.5), as far as they cover, of 255.</summary>
    public static CmykPixel Mix(uint under, uint own, int coverage, Blend blend)
    {
        var (b, s) = (Wide(under), Wide(own));
        return Packed(Share(b, blend switch
        {
            Blend.Multiply => b + s - Div(b * s),
            Blend.Screen => Div(b * s),
            _ => s,
        }, coverage));
    }

    /// <summary>Between four pixels, by 256ths of the way across and down.</summary>
    public static CmykPixel Between(uint a, uint b, uint c, uint d, int across, int down)
    {
        var above = (Widest(a) * (256 - across)) + (Widest(b) * across);
        var below = (Widest(c) * (256 - across)) + (Widest(d) * across);
        var whole = ((above * (256 - down)) + (below * down) + Vector128.Create(32768)) >>> 16;
        return Packed(Vector128.Narrow(whole.AsUInt32(), whole.AsUInt32()));
    }

    private static Vector128<ushort> Share(Vector128<ushort> under, Vector128<ushort> over, int coverage) =>
        Div((under * (ushort)(255 - coverage)) + (over * (ushort)coverage));

    /// <summary>Whole 255ths, rounded; exact for all that two bytes multiplied can be.</summary>
    private static Vector128<ushort> Div(Vector128<ushort> of255)
    {
        var more = of255 + Vector128.Create((ushort)128);
        return (more + (more >>> 8)) >>> 8;
    }

    private static Vector128<ushort> Wide(uint bytes) =>
        Vector128.WidenLower(Vector128.CreateScalar(bytes).AsByte());

    private static Vector128<int> Widest(uint bytes) => Vector128.WidenLower(Wide(bytes)).AsInt32();

    private static CmykPixel Packed(Vector128<ushort> inks) =>
        new(Vector128.NarrowWithSaturation(inks, inks).AsUInt32()[0]);
}
