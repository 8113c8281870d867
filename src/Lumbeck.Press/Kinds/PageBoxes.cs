using Lumbeck.Pdf.Writing;
using Lumbeck.Press.Pdf;

namespace Lumbeck.Press.Kinds;

/// <summary>
/// A page's boxes in points from its lower left corner (ISO 32000-1, 14.11.2): without marks the media is the bleed;
/// with them it is larger, and they lie outside the bleed.
/// </summary>
/// <param name="Sheet">The sheet.</param>
/// <param name="Window">What of it is on the page, bleed and all, in the sheet's own measure.</param>
/// <param name="Trim">What is left when it is cut.</param>
/// <param name="Margin">Room for marks all round.</param>
internal sealed record PageBoxes(Surface Sheet, Box Window, Box Trim, double Margin)
{
    /// <summary>Marks take so much room: a gap, their length, and a line of type.</summary>
    private const double Room = 34;

    public bool Marked => Margin > 0;

    public double Wide => Window.Width.Points + (2 * Margin);
    public double High => Window.Height.Points + (2 * Margin);

    public Bounds Media => new(0, 0, Wide, High);

    /// <exception cref="Refusal">The sheet has no such panel.</exception>
    public static PageBoxes Of(Surface sheet, PressPlan plan, House house)
    {
        var marked = plan.Kind.IsForPrinter && (plan.Marks ?? house.Marks is Marks.Crop or Marks.CropAndBleed);
        // A proof says what it is beside the sheet.
        var margin = marked ? Room : plan.Kind.Beside;
        if (plan.Panel == Part.Sheet) return new(sheet, sheet.Whole, sheet.Trim, margin);
        var face = sheet.Panel(plan.Panel)?.Face ?? throw new Refusal("panel", $"this sheet has no {plan.Panel.Say()}");
        var bleed = house.Bleed;
        // Beside a fold the neighbour's art is its bleed; at the sheet's edge there may be less.
        return new(sheet,
            Box.FromEdges(face.X - bleed, face.Y - bleed, face.Right + bleed, face.Bottom + bleed)
                .Intersect(sheet.Whole),
            face, margin);
    }

    /// <summary>From the sheet's own points, y down, to the page's.</summary>
    public Affine OnPage(Scene scene) => new(1, 0, 0, -1, Margin - Window.X.Points, Window.Bottom.Points + Margin);

    /// <summary>What of the sheet is on the page, in points.</summary>
    public Bounds Sight => Bounds.Of(Window);

    /// <summary>The scene with only what reaches into the page.</summary>
    public Scene Seen(Scene scene)
    {
        if (Window == Sheet.Whole) return scene;
        return scene with { Items = [.. scene.Items.Where(p => Occlusion.Touches(p, Sight))] };
    }

    /// <summary>Content that is seen as far as the bleed.</summary>
    public ContentWriter WithinBleed(ContentWriter content) =>
        new ContentWriter(content.Written.Length + 64).Save()
            .Rectangle(Margin, Margin, Window.Width.Points, Window.Height.Points).ClipToPath().Break()
            .Append(content).Restore().Break();

    /// <summary>A page with its boxes; null for those that are all of the page, or that nothing reads.</summary>
    public PdfDict Page(PdfRef tree) => new()
    {
        ["Type"] = "Page",
        ["Parent"] = tree,
        ["MediaBox"] = PdfArray.Of(0, 0, Wide, High),
        ["BleedBox"] = Corners(Window),
        ["TrimBox"] = Corners(Trim),
    };

    private PdfArray Corners(Box b)
    {
        var (x, foot) = (Margin - Window.X.Points, Window.Bottom.Points + Margin);
        return PdfArray.Of(b.X.Points + x, foot - b.Bottom.Points, b.Right.Points + x, foot - b.Y.Points);
    }
}
