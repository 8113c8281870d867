using System.Xml.Linq;
using Lumbeck.Desk;
using Lumbeck.Web.Screens;

namespace Lumbeck.Web.Tests;

/// <summary>Screens as differences, and their drawings, without a browser.</summary>
public sealed class ScreenTests : IDisposable
{
    private readonly string _folder = Directory.CreateTempSubdirectory("lumbeck-").FullName;

    public void Dispose() => Directory.Delete(_folder, recursive: true);

    private static Fragment Piece(string id, string html) => new(id, $"<g id=\"{id}\">{html}</g>", Svg: true);

    [Fact]
    public void A_difference_holds_only_what_changed()
    {
        var before = new Screen([new("list", "<p id=\"list\">a</p>"), new("foot", "<p id=\"foot\">x</p>")],
            [Piece("s-a", "1"), Piece("s-b", "2")], [("f1-1", "<path id=\"f1-1\"/>")]);
        before.Since(before).ShouldBeEmpty();

        var after = before with
        {
            Parts = [before.Parts[0], new("foot", "<p id=\"foot\">y</p>")],
            Art = [before.Art[0], Piece("s-b", "3")],
            Glyphs = [.. before.Glyphs, ("f1-2", "<path id=\"f1-2\"/>")],
        };
        var difference = after.Since(before);
        difference.ShouldContain("#foot");
        difference.ShouldContain("#s-b");
        difference.ShouldContain("f1-2");
        foreach (var same in new[] { "#list", "#s-a", "f1-1", "#art" }) difference.ShouldNotContain(same);
        // Outlines come before what uses them.
        difference.IndexOf("f1-2", StringComparison.Ordinal)
            .ShouldBeLessThan(difference.IndexOf("#s-b", StringComparison.Ordinal));
    }

    [Fact]
    public void Pieces_that_come_go_or_change_places_bring_the_art_whole()
    {
        var before = new Screen([], [Piece("s-a", "1"), Piece("s-b", "2")], []);
        (before with { Art = [before.Art[1], before.Art[0]] }).Since(before).ShouldContain("hx-target=\"#art\"");
        (before with { Art = [before.Art[0]] }).Since(before).ShouldContain("hx-target=\"#art\"");
    }

    [Fact]
    public void Drawings_are_sound_for_every_kind_of_sheet()
    {
        var desk = new Lumbeck.Desk.AppServices(DemoData.In(_folder), TimeProvider.System, DemoBench.Load);
        var drawings = new Drawings(desk);
        var job = desk.Jobs.Job("tidewatcher").Job;
        Edit[][] variants = [[], [new SetReading(Reading.RightToLeft)], [new SetFlaps(true)], [new SetPages(2)],
            [new SetUnit(Unit.Millimetre), new SetTrim(Size.FromMillimetres(310, 60))],
            [new SetHouse(job.Ticket.House with { HingeScore = Length.FromMillimetres(6),
                SpineReading = SpineReading.Up })],
            [new PaintGround(null), new RemoveItem("title")],
            .. BindingKinds.Words.Select(w => (Edit[])[new SetHouse(job.Ticket.House with { Bindings = [w.Value] })])];
        foreach (var edits in variants)
        {
            var composed = Composed.Of(1, edits.Aggregate(job, (j, e) => e.Apply(j)), desk.Drawer.Shelf);
            var on = new OnBench("x", "x", 1, composed);
            foreach (var shown in composed.Sheets)
            {
                var view = new JobView(on, Place.Wrap, shown.On.Number, "spine-title", false, false, [], new(desk, on));
                var unit = composed.Job.Ticket.Unit;
                foreach (var svg in new[]
                    { drawings.Lens(view), PlanDrawing.Of(view), FindingDrawing.Spots(composed, shown, "x"),
                    drawings.Painter(composed).Picture(shown.Scene),
                    $"<g>{drawings.Zones(shown, composed.Job.Ticket.House)}{Drawings.Chains(shown.Sheet, unit, "x")}</g>",
                    $"<g>{HandDrawing.Hits(view)}</g>"
                    }.Where(svg => svg.Length > 0))
                {
                    var x = XDocument.Parse(svg);
                    x.Descendants().Attributes().ShouldAllBe(a => !a.Value.Contains("NaN") && !a.Value.Contains('∞'));
                }
                // Every part of the sheet has its figure on the chain, but for narrow bleeds.
                foreach (var region in shown.Sheet.Regions.Where(r => r.Part is not null))
                    Drawings.Chains(shown.Sheet, unit, "x").ShouldContain($">{region.Width.Show(unit)}</text>");
            }
        }
    }

    [Fact]
    public void Zones_take_light_ink_on_dark_art_and_dark_ink_on_pale_art()
    {
        var desk = new Lumbeck.Desk.AppServices(DemoData.In(_folder), TimeProvider.System, DemoBench.Load);
        var drawings = new Drawings(desk);
        var job = desk.Jobs.Job("tidewatcher").Job;
        string zones(Composed c) => drawings.Zones(c.Sheets[0], c.Job.Ticket.House);
        zones(Composed.Of(1, job, desk.Drawer.Shelf)).ShouldNotContain("zone-dark");
        var pale = Composed.Of(1, new PaintGround(new InkPaint(Ink.Percent(4, 6, 14, 0))).Apply(job),
            desk.Drawer.Shelf);
        zones(pale).ShouldContain("zone-dark");
        // The spine's band stays dark, and its zones light.
        zones(pale).ShouldContain("zone-light");
    }

    [Theory]
    [InlineData("--port", "x", "--port takes a number")]
    [InlineData("--port", "70000", "--port takes a number")]
    [InlineData("--data", null, "--data takes a folder")]
    [InlineData("--demo", "no", "`--demo` is not known")]
    public void Starting_it_wrongly_is_said_in_a_sentence(string option, string? value, string says) =>
        StartOptions.Read(value is null ? [option] : [option, value]).Problem.ShouldNotBeNull().ShouldStartWith(says);

    [Fact]
    public void Starting_it_rightly_is_understood() =>
        StartOptions.Read(["--port", "6000", "--data", "/tmp/x", "--empty"])
            .ShouldBe(new StartOptions(6000, "/tmp/x", Demo: false));
}
