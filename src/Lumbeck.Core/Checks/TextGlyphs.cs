using Lumbeck.Core.Jobs;

namespace Lumbeck.Core.Checks;

/// <summary>Characters the face lacks, named.</summary>
public sealed class TextGlyphs : Rule
{
    public override string Id => "text.glyphs";
    public override string Proves => "every character can be drawn";
    protected override bool Limited => false;

    public override IEnumerable<Finding> Find(Look look)
    {
        foreach (var item in look.Take.Items.OfType<TextItem>().Where(t => !t.Hidden))
            if (look.Scene.Piece(item.Id) is { Setting.Missing: { IsEmpty: false } missing } piece)
                yield return Found(look, Severity.Stop, string.Join(" ", missing.Take(12).Select(r => $"{r} (U+{r.Value:X4})")), "only what the face has", "The face has no drawing of these characters; an empty box would print.", "Take a face that has them, or other characters.", item, place: piece.Frame.ToBox());
    }
}
