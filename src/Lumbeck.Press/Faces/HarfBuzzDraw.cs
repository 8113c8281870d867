using System.Runtime.CompilerServices;
using System.Runtime.InteropServices;

namespace Lumbeck.Press.Faces;

/// <summary>
/// Glyph outlines and subsets straight from HarfBuzz's own library, which its .NET wrapper does not reach.
/// </summary>
internal static unsafe partial class HarfBuzzDraw
{
    private const string Library = "libHarfBuzzSharp";

    private static readonly nint Funcs = MakeFuncs();

    /// <summary>A glyph's outline in font units, y up.</summary>
    public static Outline Draw(nint font, ushort glyph)
    {
        var pen = new Pen();
        var handle = GCHandle.Alloc(pen);
        try { hb_font_draw_glyph(font, glyph, Funcs, GCHandle.ToIntPtr(handle)); }
        finally { handle.Free(); }
        return pen.Done();
    }

    /// <summary>Every character a face has a glyph for.</summary>
    public static HashSet<int> Letters(nint face)
    {
        var set = hb_set_create();
        try
        {
            hb_face_collect_unicodes(face, set);
            var letters = new HashSet<int>((int)hb_set_get_population(set));
            for (var c = uint.MaxValue; hb_set_next(set, ref c) != 0;) letters.Add((int)c);
            return letters;
        }
        finally { hb_set_destroy(set); }
    }

    /// <summary>The tags of a face's layout features, each once, in order.</summary>
    public static ImmutableArray<string> Features(nint face)
    {
        var tags = new SortedSet<string>(StringComparer.Ordinal);
        Span<uint> part = stackalloc uint[64];
        foreach (var table in (ReadOnlySpan<uint>)[0x47535542 /* GSUB */, 0x47504F53 /* GPOS */])
        {
            var all = hb_ot_layout_table_get_feature_tags(face, table, 0, null, null);
            for (uint from = 0; from < all && from < 4096; from += 64)
            {
                var count = 64u;
                fixed (uint* p = part) _ = hb_ot_layout_table_get_feature_tags(face, table, from, &count, p);
                for (var i = 0; i < count; i++)
                    tags.Add(string.Create(4, part[i],
                        (s, t) => { for (var k = 0; k < 4; k++) s[k] = (char)(t >> (24 - (8 * k)) & 0xFF); }));
            }
        }
        return [.. tags];
    }

    /// <summary>A name of a face's name table, in English where it has one; empty where it has none.</summary>
    public static string Name(nint face, uint id)
    {
        var length = 256u;
        var letters = stackalloc ushort[256];
        _ = hb_ot_name_get_utf16(face, id, 0, &length, letters);
        return new string((char*)letters, 0, (int)Math.Min(length, 255)).Trim();
    }

    /// <summary>
    /// A face with these glyphs alone, under the ids they have, or all of it: a font file's bytes, or its CFF table's.
    /// </summary>
    /// <exception cref="InvalidOperationException">HarfBuzz can't make the subset.</exception>
    public static byte[] Program(nint face, IEnumerable<ushort>? glyphs, bool cff)
    {
        if (glyphs is null) return Bytes(face, cff);
        const uint retainGlyphIds = 0x2, noLayoutClosure = 0x200;
        var input = hb_subset_input_create_or_fail();
        if (input == 0) throw new InvalidOperationException("No subset could be begun.");
        try
        {
            var set = hb_subset_input_glyph_set(input);
            foreach (var g in glyphs) hb_set_add(set, g);
            hb_subset_input_set_flags(input, retainGlyphIds | noLayoutClosure);
            // Of a face that varies, what was shaped is what it is by default.
            _ = hb_subset_input_pin_all_axes_to_default(input, face);
            var subset = hb_subset_or_fail(face, input);
            if (subset == 0) throw new InvalidOperationException("The face could not be subset.");
            try { return Bytes(subset, cff); }
            finally { hb_face_destroy(subset); }
        }
        finally { hb_subset_input_destroy(input); }
    }

    private static byte[] Bytes(nint face, bool cff)
    {
        const uint cffTable = 0x43464620;
        var blob = cff ? hb_face_reference_table(face, cffTable) : hb_face_reference_blob(face);
        try { return new ReadOnlySpan<byte>((void*)hb_blob_get_data(blob, out var size), (int)size).ToArray(); }
        finally { hb_blob_destroy(blob); }
    }

    private static nint MakeFuncs()
    {
        var f = hb_draw_funcs_create();
        hb_draw_funcs_set_move_to_func(f, &MoveTo, 0, 0);
        hb_draw_funcs_set_line_to_func(f, &LineTo, 0, 0);
        hb_draw_funcs_set_quadratic_to_func(f, &QuadTo, 0, 0);
        hb_draw_funcs_set_cubic_to_func(f, &CubicTo, 0, 0);
        hb_draw_funcs_set_close_path_func(f, &ClosePath, 0, 0);
        return f;
    }

    private static Pen To(nint data) => (Pen)GCHandle.FromIntPtr(data).Target!;

    [UnmanagedCallersOnly(CallConvs = [typeof(CallConvCdecl)])]
    private static void MoveTo(nint f, nint data, nint state, float x, float y, nint user) => To(data).Move(x, y);
    [UnmanagedCallersOnly(CallConvs = [typeof(CallConvCdecl)])]
    private static void LineTo(nint f, nint data, nint state, float x, float y, nint user) => To(data).Line(x, y);
    [UnmanagedCallersOnly(CallConvs = [typeof(CallConvCdecl)])]
    private static void QuadTo(nint f, nint data, nint state, float x1, float y1, float x, float y, nint user) =>
        To(data).Quad(x1, y1, x, y);
    [UnmanagedCallersOnly(CallConvs = [typeof(CallConvCdecl)])]
    private static void CubicTo(nint f, nint data, nint state, float x1, float y1, float x2, float y2, float x, float y,
        nint user) => To(data)
        .Cubic(x1, y1, x2, y2, x, y);
    [UnmanagedCallersOnly(CallConvs = [typeof(CallConvCdecl)])]
    private static void ClosePath(nint f, nint data, nint state, nint user) => To(data).Close();

    [LibraryImport(Library)]
    private static partial void hb_font_draw_glyph(nint font, uint glyph, nint funcs,
        nint data);
    [LibraryImport(Library)] private static partial nint hb_draw_funcs_create();
    [LibraryImport(Library)]
    private static partial void hb_draw_funcs_set_move_to_func(nint f,
        delegate* unmanaged[Cdecl]<nint, nint, nint, float, float, nint, void> func, nint user, nint destroy);
    [LibraryImport(Library)]
    private static partial void hb_draw_funcs_set_line_to_func(nint f,
        delegate* unmanaged[Cdecl]<nint, nint, nint, float, float, nint, void> func, nint user, nint destroy);
    [LibraryImport(Library)]
    private static partial void hb_draw_funcs_set_quadratic_to_func(nint f,
        delegate* unmanaged[Cdecl]<nint, nint, nint, float, float, float, float, nint, void> func, nint user,
        nint destroy);
    [LibraryImport(Library)]
    private static partial void hb_draw_funcs_set_cubic_to_func(nint f,
        delegate* unmanaged[Cdecl]<nint, nint, nint, float, float, float, float, float, float, nint, void> func,
        nint user, nint destroy);
    [LibraryImport(Library)]
    private static partial void hb_draw_funcs_set_close_path_func(nint f,
        delegate* unmanaged[Cdecl]<nint, nint, nint, nint, void> func, nint user, nint destroy);
    [LibraryImport(Library)] private static partial nint hb_subset_input_create_or_fail();
    [LibraryImport(Library)] private static partial nint hb_subset_input_glyph_set(nint input);
    [LibraryImport(Library)] private static partial void hb_subset_input_set_flags(nint input, uint flags);
    [LibraryImport(Library)] private static partial void hb_subset_input_destroy(nint input);
    [LibraryImport(Library)] private static partial nint hb_subset_or_fail(nint face, nint input);
    [LibraryImport(Library)] private static partial int hb_subset_input_pin_all_axes_to_default(nint input, nint face);
    [LibraryImport(Library)] private static partial nint hb_set_create();
    [LibraryImport(Library)] private static partial void hb_set_destroy(nint set);
    [LibraryImport(Library)] private static partial uint hb_set_get_population(nint set);
    [LibraryImport(Library)] private static partial int hb_set_next(nint set, ref uint codepoint);
    [LibraryImport(Library)] private static partial void hb_face_collect_unicodes(nint face, nint set);
    [LibraryImport(Library)]
    private static partial uint hb_ot_layout_table_get_feature_tags(nint face, uint table,
        uint start, uint* count, uint* tags);
    [LibraryImport(Library)]
    private static partial uint hb_ot_name_get_utf16(nint face, uint name, nint language,
        uint* length, ushort* text);
    [LibraryImport(Library)] private static partial void hb_set_add(nint set, uint value);
    [LibraryImport(Library)] private static partial nint hb_face_reference_table(nint face, uint tag);
    [LibraryImport(Library)] private static partial nint hb_face_reference_blob(nint face);
    [LibraryImport(Library)] private static partial void hb_face_destroy(nint face);
    [LibraryImport(Library)] private static partial nint hb_blob_get_data(nint blob, out uint length);
    [LibraryImport(Library)] private static partial void hb_blob_destroy(nint blob);
}
