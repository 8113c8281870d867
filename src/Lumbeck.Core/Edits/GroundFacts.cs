using Lumbeck.Core.Jobs;
using Lumbeck.Core.Papers;

namespace Lumbeck.Core.Edits;

/// <summary>The facts of the ground and of the job's swatches.</summary>
public static class GroundFacts
{
    public static IReadOnlyList<Fact> All { get; } =
    [
        new("ground/paint", "Ground", j => j.Take.Ground.Paint.Show(j.Swatches), (j, t) => new PaintGround(Facts.MaybePaint(j, t))),
        new("ground/paper", "Paper", j => j.Take.Ground.Paper?.Kind ?? "none", (j, t) => new LayPaper(Facts.Choice<PaperDesign?>(t, [("none", null), ("contour lines", j.Take.Ground.Paper as ContourLines ?? new ContourLines { Seed = 1 })])))
            { Choices = Facts.Of(("none", "none"), ("contour lines", "contour lines")) },
        new("ground/seed", "Seed", j => j.Take.Ground.Paper?.Seed.ToString(CultureInfo.InvariantCulture) ?? "", (_, t) => new SeedPaper(Facts.Whole(t, "41"))),
        new("ground/lines", "Lines", j => j.Take.Ground.Paper?.Paint.Show(j.Swatches) ?? "", (j, t) => new PaintPaper(Facts.Paint(j, t))),
    ];

    public static IEnumerable<Fact> OfSwatch(string id)
    {
        Swatch S(Job j) => j.Swatches.FirstOrDefault(s => s.Id == id) ?? throw Facts.No("this swatch was removed in the meantime");
        yield return new($"swatch/{id}/name", "Name", j => S(j).Name, (_, t) => new SetSwatch(id, Name: t.Trim()));
        yield return new($"swatch/{id}/mix", "Mix", j => S(j).Ink.ToString(), (_, t) => new SetSwatch(id, Ink: PaintText.TryParseInk(t, out var ink, out var why) ? ink : throw Facts.No(why)));
    }
}
