namespace Lumbeck.Core.Tests;

/// <summary>Shapes that a pattern fills.</summary>
public sealed class FillTests
{
    private static readonly ContourLines Sea = new() { Seed = 7, Paints = [new SwatchPaint("sea")] };

    private static RectItem Rect(Fill? fill) => new()
    {
        Id = "r",
        Hold = new(Part.Front, HoldBox.Face, Anchor.Middle, default, default),
        Width = new(Length.FromMillimetres(60)),
        Height = new(Length.FromMillimetres(40)),
        Fill = fill,
    };

    private static DrawnItem Drawn(Job job) => Sample.Scene(job).Item("r")!;

    [Fact]
    public void A_pattern_lies_over_the_fill_s_paint_within_the_shape_and_goes_with_it()
    {
        var job = new PatternShape("r", Sea).Apply(Sample.Job(Rect(new InkPaint(Ink.White))));
        var marks = Drawn(job).Marks;
        marks[0].ShouldBeOfType<FillMark>().Ink.ShouldBe(Ink.White);
        var lines = marks[1].ShouldBeOfType<DrawingMark>();
        lines.Clip.Bounds.ShouldBe(((FillMark)marks[0]).Shape.Bounds);
        lines.Marks.ShouldAllBe(m => m is LineMark && ((LineMark)m).Ink == Ink.Percent(80, 40, 20, 10));
        // Carried elsewhere it is the same drawing.
        Drawn(new MoveItem("r", Length.FromMillimetres(9), default).Apply(job)).Marks[1].ShouldBeOfType<DrawingMark>()
            .Marks.Length
            .ShouldBe(lines.Marks.Length);
        // Another seed is another.
        var other = Drawn(new PatternShape("r", Sea with { Seed = 8 }).Apply(job)).Marks[1]
            .ShouldBeOfType<DrawingMark>();
        ((LineMark)other.Marks[0]).Shape.Points.SequenceEqual(((LineMark)lines.Marks[0]).Shape.Points).ShouldBeFalse();
    }

    [Fact]
    public void Its_paints_are_counted_and_mapped_as_all_others_are_and_what_is_in_foil_is_on_a_plate_of_its_own()
    {
        var job = Sample.Job(Rect(new Fill(null, Sea)));
        Paints.Uses(job, "sea").ShouldBe(Paints.Uses(Sample.Job(), "sea") + 1);
        var dropped = new RemoveSwatch("sea").Apply(job);
        ((RectItem)dropped.Item("r")!).Fill!.Pattern!.Paints[0].ShouldBe(new InkPaint(Ink.Percent(80, 40, 20, 10)));
        var foil = Drawn(Sample.Job(Rect(new Fill(null, Sea with { Paints = [new FinishPaint("foil")] }))));
        foil.Finishes.ShouldBe(["foil"]);
        foil.Marks.ShouldHaveSingleItem().Finish.ShouldBe(("foil", 10_000));
    }

    [Fact]
    public void It_is_typed_kept_checked_and_refused_as_what_it_is()
    {
        var job = Sample.Job(Rect(null));
        job = Facts.Find(job, "item/r/paper")!.Write(job, "contour lines").Apply(job);
        job = Facts.Find(job, "item/r/paper-seed")!.Write(job, "12").Apply(job);
        job = Facts.Find(job, "item/r/paper-paint-1")!.Write(job, "Sea").Apply(job);
        var fill = ((RectItem)job.Item("r")!).Fill!;
        (fill.Paint, fill.Pattern).ShouldBe((null, (Pattern)new ContourLines
        {
            Version = 2,
            Seed = 12,
            Paints = [new SwatchPaint("sea"), .. PatternShelf.Kinds[0].In(job.Swatches).Paints.Skip(1)],
        }));
        JobJson.Read(JobJson.Write(job)).Item("r").ShouldBe(job.Item("r"));
        ImportValidation.Job(job);
        // Another kind is laid in the job's swatches; its lengths are typed in any unit and shown in the job's.
        var dots = Facts.Find(job, "item/r/paper")!.Write(job, "Dots").Apply(job);
        dots = Facts.Find(dots, "item/r/paper-pitch")!.Write(dots, "1/4 in").Apply(dots);
        ((Dots)((RectItem)dots.Item("r")!).Fill!.Pattern!).Pitch.ShouldBe(6.35m);
        Facts.Read(new SetUnit(Unit.Inch).Apply(dots), "item/r/paper-pitch").ShouldBe("0.25 in");
        Should.Throw<Refusal>(() => Facts.Find(dots, "item/r/paper-pitch")!.Write(dots, "50 mm").Apply(dots)).Message
            .ShouldContain("from 2 mm to 40 mm");
        JobJson.Read(JobJson.Write(dots)).Item("r").ShouldBe(dots.Item("r"));
        // What has no paint covers nothing, and hides nothing.
        Coverage.IsSolid(job.Item("r")!).ShouldBeFalse();
        Coverage.IsSolid(new FillShape("r", new InkPaint(Ink.White)).Apply(job).Item("r")!).ShouldBeTrue();
        Should.Throw<Refusal>(() =>
            ImportValidation.Job(job.WithItem("r",
                i => ((RectItem)i) with { Fill = new Fill(null, Sea with { Paints = [] }) })));
        Facts.Find(job, "item/r/paper")!.Write(job, "none").Apply(job).Item("r")
            .ShouldBe(Sample.Job(Rect(null)).Item("r"));
        InWords.Say(job, job.Sheets()[0]).ShouldContain("contour lines");
    }
}
