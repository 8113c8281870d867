namespace Lumbeck.Core.Drawing.Marked;

/// <summary>
/// What is asked of marks, answered for each kind: one that is added fails to build until every reader has its answer.
/// </summary>
public interface IMarkVisitor<out T>
{
    T Fill(FillMark mark);
    T Gradient(GradientMark mark);
    T Line(LineMark mark);
    T Glyphs(GlyphMark mark);
    T Blurred(BlurredMark mark);
    T Picture(PictureMark mark);
    T Tiles(TilesMark mark);
    T Grown(GrownMark mark);
    T Repeated(RepeatedMark mark);
    T Drawing(DrawingMark mark);
}

/// <summary>A mark that can be laid in one ink.</summary>
public interface IPlainInk
{
    /// <summary>Its ink; null where a run of inks or a finishing ink takes its place.</summary>
    Ink? Plain { get; }

    /// <summary>Whether it leaves other plates as they are.</summary>
    bool Overprints { get; }

    /// <summary>The same in another ink.</summary>
    Mark With(Ink ink, bool overprint);
}
