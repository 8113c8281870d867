using System.Runtime.CompilerServices;
using System.Runtime.InteropServices;

namespace Lumbeck.Press.Faces;

/// <summary>Glyph outlines and subsets straight from HarfBuzz's own library, which its .NET wrapper does not reach.</summary>
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

    /// <summary>A face with these glyphs alone, under the ids they have: a font file's bytes.</summary>
    /// <exception cref="InvalidOperationException">HarfBuzz can't make the subset.</exception>
    public static byte[] Subset(nint face, IEnumerable<ushort> glyphs)
    {
        const uint retainGlyphIds = 0x2, noLayoutClosure = 0x200;
        var input = hb_subset_input_create_or_fail();
        if (input == 0) throw new InvalidOperationException("No subset could be begun.");
        try
        {
            var set = hb_subset_input_glyph_set(input);
            foreach (var g in glyphs) hb_set_add(set, g);
            hb_subset_input_set_flags(input, retainGlyphIds | noLayoutClosure);
            var subset = hb_subset_or_fail(face, input);
            if (subset == 0) throw new InvalidOperationException("The face could not be subset.");
            var blob = hb_face_reference_blob(subset);
            try { return new ReadOnlySpan<byte>((void*)hb_blob_get_data(blob, out var length), (int)length).ToArray(); }
            finally { hb_blob_destroy(blob); hb_face_destroy(subset); }
        }
        finally { hb_subset_input_destroy(input); }
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
    private static void QuadTo(nint f, nint data, nint state, float x1, float y1, float x, float y, nint user) => To(data).Quad(x1, y1, x, y);
    [UnmanagedCallersOnly(CallConvs = [typeof(CallConvCdecl)])]
    private static void CubicTo(nint f, nint data, nint state, float x1, float y1, float x2, float y2, float x, float y, nint user) => To(data).Cubic(x1, y1, x2, y2, x, y);
    [UnmanagedCallersOnly(CallConvs = [typeof(CallConvCdecl)])]
    private static void ClosePath(nint f, nint data, nint state, nint user) => To(data).Close();

    [LibraryImport(Library)] private static partial void hb_font_draw_glyph(nint font, uint glyph, nint funcs, nint data);
    [LibraryImport(Library)] private static partial nint hb_draw_funcs_create();
    [LibraryImport(Library)] private static partial void hb_draw_funcs_set_move_to_func(nint f, delegate* unmanaged[Cdecl]<nint, nint, nint, float, float, nint, void> func, nint user, nint destroy);
    [LibraryImport(Library)] private static partial void hb_draw_funcs_set_line_to_func(nint f, delegate* unmanaged[Cdecl]<nint, nint, nint, float, float, nint, void> func, nint user, nint destroy);
    [LibraryImport(Library)] private static partial void hb_draw_funcs_set_quadratic_to_func(nint f, delegate* unmanaged[Cdecl]<nint, nint, nint, float, float, float, float, nint, void> func, nint user, nint destroy);
    [LibraryImport(Library)] private static partial void hb_draw_funcs_set_cubic_to_func(nint f, delegate* unmanaged[Cdecl]<nint, nint, nint, float, float, float, float, float, float, nint, void> func, nint user, nint destroy);
    [LibraryImport(Library)] private static partial void hb_draw_funcs_set_close_path_func(nint f, delegate* unmanaged[Cdecl]<nint, nint, nint, nint, void> func, nint user, nint destroy);
    [LibraryImport(Library)] private static partial nint hb_subset_input_create_or_fail();
    [LibraryImport(Library)] private static partial nint hb_subset_input_glyph_set(nint input);
    [LibraryImport(Library)] private static partial void hb_subset_input_set_flags(nint input, uint flags);
    [LibraryImport(Library)] private static partial void hb_subset_input_destroy(nint input);
    [LibraryImport(Library)] private static partial nint hb_subset_or_fail(nint face, nint input);
    [LibraryImport(Library)] private static partial void hb_set_add(nint set, uint value);
    [LibraryImport(Library)] private static partial nint hb_face_reference_blob(nint face);
    [LibraryImport(Library)] private static partial void hb_face_destroy(nint face);
    [LibraryImport(Library)] private static partial nint hb_blob_get_data(nint blob, out uint length);
    [LibraryImport(Library)] private static partial void hb_blob_destroy(nint blob);
}
