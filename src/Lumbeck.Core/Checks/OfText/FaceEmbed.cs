namespace Lumbeck.Core.Checks.OfText;

/// <summary>Faces whose licence lets no file hold them, or only whole.</summary>
public sealed class FaceEmbed : Rule
{
    public override string Id => "face.embed";
    public override string Proves => "faces may go into the file";
    protected override bool Limited => false;

    protected override IEnumerable<Finding> Look(CheckContext look)
    {
        if (look.Kept is not { } kept) yield break;
        var told = new HashSet<FaceId>();
        foreach (var (item, drawn) in look.Drawn())
            foreach (var face in drawn.Marks.OfType<GlyphMark>().Select(g => g.Face).Distinct())
            {
                if (!told.Add(face)) continue;
                var rights = kept.Rights(face);
                if (rights.Never)
                    yield return new()
                    {
                        Severity = Severity.Stop,
                        Measured = rights.Name,
                        Limit = "a face that may be embedded",
                        Why = "Its licence lets no file hold it, as type or as shapes.",
                        Mend = "Set the words in another face, or bring a version with embedding rights.",
                        Of = item,
                        Place = drawn.Inked.ToBox(),
                    };
                else if (rights.WholeOnly)
                    yield return new()
                    {
                        Severity = Severity.Note,
                        Measured = $"{rights.Name}, whole",
                        Limit = "a subset",
                        Why = "Its licence asks for the whole face, which makes the file larger.",
                        Of = item,
                        Place = drawn.Inked.ToBox(),
                    };
            }
    }
}
