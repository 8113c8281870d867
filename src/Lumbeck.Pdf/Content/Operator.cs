using System.Text;

namespace Lumbeck.Pdf.Content;

/// <summary>Operators of content (ISO 32000-2, annex A), by what they do.</summary>
public enum Operator
{
    /// <summary>None that is known.</summary>
    Unknown,

    // General and special graphics state (8.4.4).
    Save, Restore, ConcatMatrix, LineWidth, LineCap, LineJoin, MiterLimit, DashPattern, RenderingIntent, Flatness,
    GraphicsStateParameters,

    // Paths (8.5.2).
    MoveTo, LineTo, CurveTo, CurveToInitial, CurveToFinal, ClosePath, Rectangle,

    // Painting and clipping paths (8.5.3, 8.5.4).
    Stroke, CloseStroke, Fill, FillOld, FillEvenOdd, FillStroke, FillStrokeEvenOdd, CloseFillStroke,
    CloseFillStrokeEvenOdd, EndPath, Clip, ClipEvenOdd,

    // Colour (8.6.8).
    StrokeColorSpace, FillColorSpace, StrokeColor, StrokeColorN, FillColor, FillColorN, StrokeGray, FillGray, StrokeRgb,
    FillRgb, StrokeCmyk, FillCmyk,

    // Shadings, XObjects and inline images (8.7.4.2, 8.8, 8.9.7).
    Shading, XObject, BeginInlineImage, InlineImageData, EndInlineImage,

    // Text (9.3, 9.4).
    BeginText, EndText, CharacterSpacing, WordSpacing, HorizontalScaling, Leading, Font, RenderingMode, Rise, MoveText,
    MoveTextLeading, TextMatrix, NextLine, ShowText, ShowTextAdjusted, NextLineShowText, NextLineShowTextSpaced,
    GlyphWidth, GlyphWidthBounds,

    // Marked content (14.6) and compatibility (7.8.2).
    MarkedPoint, MarkedPointProperties, BeginMarked, BeginMarkedProperties, EndMarked, BeginCompatibility,
    EndCompatibility,
}

/// <summary>What operators are called in content.</summary>
public static class Operators
{
    private static readonly (Operator Op, string Token)[] Tokens =
    [
        (Operator.Save, "q"), (Operator.Restore, "Q"), (Operator.ConcatMatrix, "cm"), (Operator.LineWidth, "w"),
        (Operator.LineCap, "J"), (Operator.LineJoin, "j"), (Operator.MiterLimit, "M"), (Operator.DashPattern, "d"),
        (Operator.RenderingIntent, "ri"), (Operator.Flatness, "i"), (Operator.GraphicsStateParameters, "gs"),
        (Operator.MoveTo, "m"), (Operator.LineTo, "l"), (Operator.CurveTo, "c"), (Operator.CurveToInitial, "v"),
        (Operator.CurveToFinal, "y"), (Operator.ClosePath, "h"), (Operator.Rectangle, "re"), (Operator.Stroke, "S"),
        (Operator.CloseStroke, "s"), (Operator.Fill, "f"), (Operator.FillOld, "F"), (Operator.FillEvenOdd, "f*"),
        (Operator.FillStroke, "B"), (Operator.FillStrokeEvenOdd, "B*"), (Operator.CloseFillStroke, "b"),
        (Operator.CloseFillStrokeEvenOdd, "b*"), (Operator.EndPath, "n"), (Operator.Clip, "W"),
        (Operator.ClipEvenOdd, "W*"), (Operator.StrokeColorSpace, "CS"), (Operator.FillColorSpace, "cs"),
        (Operator.StrokeColor, "SC"), (Operator.StrokeColorN, "SCN"), (Operator.FillColor, "sc"),
        (Operator.FillColorN, "scn"), (Operator.StrokeGray, "G"), (Operator.FillGray, "g"), (Operator.StrokeRgb, "RG"),
        (Operator.FillRgb, "rg"), (Operator.StrokeCmyk, "K"), (Operator.FillCmyk, "k"), (Operator.Shading, "sh"),
        (Operator.XObject, "Do"), (Operator.BeginInlineImage, "BI"), (Operator.InlineImageData, "ID"),
        (Operator.EndInlineImage, "EI"), (Operator.BeginText, "BT"), (Operator.EndText, "ET"),
        (Operator.CharacterSpacing, "Tc"), (Operator.WordSpacing, "Tw"), (Operator.HorizontalScaling, "Tz"),
        (Operator.Leading, "TL"), (Operator.Font, "Tf"), (Operator.RenderingMode, "Tr"), (Operator.Rise, "Ts"),
        (Operator.MoveText, "Td"), (Operator.MoveTextLeading, "TD"), (Operator.TextMatrix, "Tm"),
        (Operator.NextLine, "T*"), (Operator.ShowText, "Tj"), (Operator.ShowTextAdjusted, "TJ"),
        (Operator.NextLineShowText, "'"), (Operator.NextLineShowTextSpaced, "\""), (Operator.GlyphWidth, "d0"),
        (Operator.GlyphWidthBounds, "d1"), (Operator.MarkedPoint, "MP"), (Operator.MarkedPointProperties, "DP"),
        (Operator.BeginMarked, "BMC"), (Operator.BeginMarkedProperties, "BDC"), (Operator.EndMarked, "EMC"),
        (Operator.BeginCompatibility, "BX"), (Operator.EndCompatibility, "EX"),
    ];

    private static readonly Dictionary<int, Operator> Known = Tokens.ToDictionary(t => Key(Encoding.ASCII.GetBytes(t.Token)),
        t => t.Op);

    private static readonly byte[][] Written = [.. Enum.GetValues<Operator>().Select(op =>
        Encoding.ASCII.GetBytes(Tokens.FirstOrDefault(t => t.Op == op).Token ?? ""))];

    /// <summary>The operator that a token names.</summary>
    public static Operator Of(ReadOnlySpan<byte> token) =>
        token.Length is 1 or 2 or 3 && Known.TryGetValue(Key(token), out var op) ? op : Operator.Unknown;

    /// <summary>Its token; empty for none that is known.</summary>
    public static ReadOnlySpan<byte> Token(this Operator op) => Written[(int)op];

    /// <summary>Whether it paints a path, filled, stroked or both.</summary>
    public static bool PaintsPath(this Operator op) => op is >= Operator.Stroke and <= Operator.CloseFillStrokeEvenOdd;

    public static bool Strokes(this Operator op) => op is Operator.Stroke or Operator.CloseStroke
        or >= Operator.FillStroke and <= Operator.CloseFillStrokeEvenOdd;

    public static bool Fills(this Operator op) => op is >= Operator.Fill and <= Operator.CloseFillStrokeEvenOdd;

    public static bool ShowsText(this Operator op) => op is >= Operator.ShowText and <= Operator.NextLineShowTextSpaced;

    private static int Key(ReadOnlySpan<byte> token)
    {
        var key = 0;
        foreach (var b in token) key = (key << 8) | b;
        return key;
    }
}
