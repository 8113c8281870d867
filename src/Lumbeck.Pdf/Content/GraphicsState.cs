using Lumbeck.Pdf.Colours;

namespace Lumbeck.Pdf.Content;

/// <summary>
/// The graphics state (ISO 32000-2, 8.4.1, tables 51 and 52): what <c>q</c> keeps and <c>Q</c> brings back. Colour
/// spaces are nothing where content is read without its resources.
/// </summary>
public sealed record GraphicsState
{
    /// <summary>From the points of user space to those that this content begins in.</summary>
    public PdfMatrix Ctm { get; init; } = PdfMatrix.Identity;

    public ColorSpace StrokeColorSpace { get; init; } = new GrayColorSpace();
    public ColorSpace FillColorSpace { get; init; } = new GrayColorSpace();
    public double[] StrokeColor { get; init; } = [0];
    public double[] FillColor { get; init; } = [0];

    public TextState Text { get; init; } = new();

    /// <summary>In user space units; 0 is as thin as the device can.</summary>
    public double LineWidth { get; init; } = 1;
    public int LineCap { get; init; }
    public int LineJoin { get; init; }
    public double MiterLimit { get; init; } = 10;

    /// <summary>Nothing, or what the state dictionary says (11.3.5).</summary>
    public string BlendMode { get; init; } = "Normal";

    /// <summary>Constant alpha of strokes and fills, 0 to 1.</summary>
    public double StrokeAlpha { get; init; } = 1;
    public double FillAlpha { get; init; } = 1;

    public bool OverprintStroke { get; init; }
    public bool OverprintFill { get; init; }

    /// <summary>1 where inks of nothing leave what is there (8.6.7).</summary>
    public int OverprintMode { get; init; }
}

/// <summary>The text state (9.3.1).</summary>
public sealed record TextState
{
    public double CharacterSpacing { get; init; }
    public double WordSpacing { get; init; }

    /// <summary>In percent.</summary>
    public double HorizontalScaling { get; init; } = 100;
    public double Leading { get; init; }

    /// <summary>The font as the resources have it, a reference or what it is.</summary>
    public PdfObject? Font { get; init; }
    public double FontSize { get; init; }

    /// <summary>0 to 7: fills, strokes, both, neither; from 4 on it clips too (9.3.6).</summary>
    public int RenderingMode { get; init; }
    public double Rise { get; init; }

    public bool Fills => RenderingMode is 0 or 2 or 4 or 6;
    public bool Clips => RenderingMode > 3;
}
