using Lumbeck.Core.Jobs;
using Lumbeck.Core.Type;

namespace Lumbeck.Core.Drawing;

/// <summary>Job and geometry in, scene out: every item placed, set and drawn once.</summary>
public static class SceneBuilder
{
    /// <param name="job">The job.</param>
    /// <param name="on">The sheet.</param>
    /// <param name="type">Faces.</param>
    /// <param name="drawings">What drawn pictures hold; null where there are none.</param>
    public static Scene Build(Job job, PrintedSheet on, IType type, IDrawings? drawings = null)
    {
        var (sheet, take) = (on.Sheet, job.Wraps[on.Wrap].Take);
        var pieces = ImmutableArray.CreateBuilder<Piece>();
        pieces.Add(Ground(job, take.Ground, sheet));
        foreach (var item in take.Items)
            pieces.Add(Item(job, item, sheet, type, drawings));
        return new(sheet, pieces.ToImmutable());
    }

    /// <summary>One item's piece; empty where it is hidden or its panel is not on this sheet.</summary>
    public static Piece Item(Job job, Item item, Sheet sheet, IType type, IDrawings? drawings = null) =>
        Drawn(job, item, sheet, type, drawings) with { Opacity = (double)item.Opacity / 100, Blend = item.Blend };

    private static Piece Drawn(Job job, Item item, Sheet sheet, IType type, IDrawings? drawings)
    {
        var at = Placement.Of(item, sheet);
        if (at is null) return new(item.Id, item.Hold.Panel, Affine.Identity, [], Bounds.None, Bounds.None);
        var (w, h) = (at.Box.Width.Points, at.Box.Height.Points);
        var frame = at.ToSheet.Of(new(0, 0, w, h));
        if (item.Hidden || w < 0 || h < 0 || item.Opacity == 0) return new(item.Id, item.Hold.Panel, at.ToSheet, [], frame, Bounds.None);
        switch (item)
        {
            case TextItem text:
                var setting = Typesetter.Set(text.Words, text.Style, w, h, type);
                var marks = Glyphs(text, setting, job).ToImmutableArray<Mark>();
                return new(item.Id, item.Hold.Panel, at.ToSheet, marks, frame, at.ToSheet.Of(Inked(marks, type)), setting);
            case ShapeItem shape:
                var drawn = ShapeDrawing.Draw(shape, at, sheet, job, drawings).ToImmutableArray();
                // What a picture grows lies beyond its frame.
                var inked = drawn.OfType<GrownMark>().Aggregate(frame, (b, g) => b.Union(g.Place.Then(at.ToSheet).Of(new(0, 0, 1, 1))));
                return new(item.Id, item.Hold.Panel, at.ToSheet, drawn, frame, inked);
            case BarcodeItem code:
                return new(item.Id, item.Hold.Panel, at.ToSheet, [.. BarcodeDrawing.Draw(BarcodeDrawing.Number(code, job.Ticket), code.Percent, job.Ticket.House.BarcodeBarReduction, type)], frame, frame);
            default:
                throw new NotSupportedException($"An item of kind {item.Kind} has no drawing.");
        }
    }

    private static Piece Ground(Job job, Ground ground, Sheet sheet)
    {
        var marks = ImmutableArray.CreateBuilder<Mark>();
        var whole = new Bounds(0, 0, sheet.Size.Width.Points, sheet.Size.Height.Points);
        if (ground.Paint is { } paint)
            marks.Add(ShapeDrawing.Filled(Outline.Rectangle(0, 0, whole.Right, whole.Bottom), paint, job.Swatches, whole.Right, whole.Bottom));
        if (ground.Paper is { } paper)
        {
            // A paper is anchored on the front, so that the front stays as it is when the spine grows.
            var origin = sheet.Panel(Part.Front)?.Face ?? sheet.Trim;
            foreach (var (shape, width) in PaperCache.Draw(paper, origin.X.Points, origin.Y.Points, whole))
                marks.Add(new LineMark(shape, width, paper.Paint.Resolve(job.Swatches)));
        }
        return new(Piece.Ground, Part.Sheet, Affine.Identity, marks.ToImmutable(), whole, whole, Clipped: true);
    }

    private static IEnumerable<GlyphMark> Glyphs(TextItem text, Setting setting, Job job)
    {
        var paint = text.Style.Paint;
        var ink = paint.Resolve(job.Swatches);
        // PRINT.md, Common to all: black text overprints up to the house's size, so that the other plates need not fit it.
        var overprint = ink == Ink.Black && text.Style.Size <= job.Ticket.House.BlackOverprintUpTo;
        foreach (var line in setting.Lines)
            if (line.Glyphs.Length > 0)
                yield return new(text.Style.Face, setting.Size, line.X, line.Baseline, line.Glyphs, line.Text, ink, overprint) { Finish = paint is FinishPaint f ? (f.Finish, f.Tint) : null };
    }

    private static Bounds Inked(ImmutableArray<Mark> marks, IType type)
    {
        var all = Bounds.None;
        foreach (var mark in marks)
            if (mark is GlyphMark g)
            {
                var scale = g.Size / type.Metrics(g.Face).UnitsPerEm;
                foreach (var glyph in g.Glyphs)
                {
                    var b = type.Glyph(g.Face, glyph.Id).Bounds;
                    if (b.IsEmpty) continue;
                    var (x, y) = (g.X + glyph.X, g.Y + glyph.Y);
                    all = all.Union(new(x + (b.Left * scale), y - (b.Bottom * scale), x + (b.Right * scale), y - (b.Top * scale)));
                }
            }
        return all;
    }
}

/// <summary>Papers drawn of late, in points on their sheet; drawing one takes a few milliseconds, and most edits leave the ground alone.</summary>
internal static class PaperCache
{
    private static readonly System.Collections.Concurrent.ConcurrentDictionary<(Papers.PaperDesign, double, double, Bounds), IReadOnlyList<(Outline, double)>> Drawn = new();

    public static IReadOnlyList<(Outline Shape, double Width)> Draw(Papers.PaperDesign paper, double x, double y, Bounds sheet)
    {
        if (Drawn.Count > 64) Drawn.Clear();
        return Drawn.GetOrAdd((paper, x, y, sheet), _ =>
        {
            var mm = Length.FromMillimetres(1).Points;
            var window = new Bounds(-x / mm, -y / mm, (sheet.Right - x) / mm, (sheet.Bottom - y) / mm);
            return [.. paper.Draw(window).Select(l => (new Outline(l.Shape.Strokes, [.. l.Shape.Points.Select((p, i) => (p * mm) + (i % 2 == 0 ? x : y))]), l.WidthPoints))];
        });
    }
}
