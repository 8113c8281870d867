namespace Lumbeck.Core.Checks.OfText;

/// <summary>Faces whose licence lets no file hold them, or only whole.</summary>
public sealed class FaceEmbed : Rule
{
    public override string Id => "face.embed";
    public override string Proves => "faces may go into the file";
    protected override bool Limited => false;

    public override IEnumerable<Finding> Check(CheckContext look)
    {
        if (look.Kept is not { } kept) yield break;
        var told = new HashSet<FaceId>();
        foreach (var (item, drawn) in look.Drawn())
            foreach (var face in drawn.Marks.OfType<GlyphMark>().Select(g => g.Face).Distinct())
            {
                if (!told.Add(face)) continue;
                var rights = kept.Rights(face);
                if (rights.Never)
                    yield return Found(look, Severity.Stop, rights.Name, "a face that may be embedded",
                        "Its licence lets no file hold it, as type or as shapes.",
                        "Set the words in another face, or bring a version with embedding rights.", item,
                        place: drawn.Inked.ToBox());
                else if (rights.WholeOnly)
                    yield return Found(look, Severity.Note, $"{rights.Name}, whole", "a subset",
                        "Its licence asks for the whole face, which makes the file larger.", null, item,
                        place: drawn.Inked.ToBox());
            }
    }
}
