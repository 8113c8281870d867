namespace Lumbeck.Core.Tests;

/// <summary>What knife and folds do at the ends of their drift.</summary>
public sealed class DriftTests
{
    private static readonly Length Knife = Length.FromMillimetres(1.6m);

    private static List<Harm> Harms(Job job, Length? knife = null, Length? fold = null)
    {
        var on = job.Sheets()[0];
        return [.. Drift.Harms(on, Sample.Scene(job), job.Take,
            job.Ticket.House with { TrimDrift = knife ?? Knife, FoldDrift = fold ?? Knife })];
    }

    /// <summary>A rectangle that must not be cut, so far from the back's upper left corner, in millimetres.</summary>
    private static RectItem Whole(string id, Part panel, Anchor anchor, decimal x, decimal y) => new()
    {
        Id = id,
        Hold = new(panel, HoldBox.Face, anchor, Length.FromMillimetres(x), Length.FromMillimetres(y)),
        Width = new(Length.FromMillimetres(20)),
        Height = new(Length.FromMillimetres(8)),
        Fill = new InkPaint(Ink.Black),
        Whole = true,
    };

    [Fact]
    public void Far_from_every_edge_nothing_suffers() =>
        Harms(Sample.Job(Whole("r", Part.Back, Anchor.Middle, 0, 0))).ShouldBeEmpty();

    [Theory]
    [InlineData(1, 40, 0.6, 0)]
    [InlineData(40, 0.4, 0, 1.2)]
    [InlineData(1, 1, 0.6, 0.6)]
    public void The_knife_gets_as_far_into_it_as_its_drift_is_more_than_its_distance(decimal x, decimal y, double awayX,
        double awayY)
    {
        var harm = Harms(Sample.Job(Whole("r", Part.Back, Anchor.TopLeft, x, y))).ShouldHaveSingleItem();
        (harm.Cut, harm.AsDrawn).ShouldBe((true, false));
        ((double)harm.AwayX.Millimetres).ShouldBe(awayX, 0.01);
        ((double)harm.AwayY.Millimetres).ShouldBe(awayY, 0.01);
        // Carried away by that, it is safe.
        Harms(new DropItem("r", harm.AwayX, harm.AwayY).Apply(Sample.Job(Whole("r", Part.Back, Anchor.TopLeft, x, y))))
            .ShouldBeEmpty();
    }

    [Fact]
    public void What_is_cut_as_drawn_says_so()
    {
        var harm = Harms(Sample.Job(Whole("r", Part.Back, Anchor.TopLeft, -2, 40))).ShouldHaveSingleItem();
        harm.AsDrawn.ShouldBeTrue();
        ((double)harm.Into.Millimetres).ShouldBe(3.6, 0.01);
    }

    [Fact]
    public void A_fold_that_wanders_catches_what_lies_beside_it_and_what_lies_across_suffers_anyway()
    {
        var beside = Harms(Sample.Job(Whole("r", Part.Front, Anchor.Left, 1, 0))).ShouldHaveSingleItem();
        (beside.Cut, beside.AsDrawn).ShouldBe((false, false));
        ((double)beside.AwayX.Millimetres).ShouldBe(0.6, 0.01);
        Harms(Sample.Job(Whole("r", Part.Front, Anchor.Left, -5, 0))).ShouldHaveSingleItem().AsDrawn.ShouldBeTrue();
        Harms(Sample.Job(Whole("r", Part.Front, Anchor.Left, 1, 0)), fold: Length.FromMillimetres(0.5m))
            .ShouldBeEmpty();
    }

    [Fact]
    public void A_ground_that_reaches_the_bleed_stays_whole_while_the_bleed_is_wider_than_the_drift()
    {
        var bare = new PaintGround(null)
            .Apply(Sample.Job(new RectItem
            {
                Id = "all",
                Hold = new(Part.Sheet, HoldBox.Edge, Anchor.Middle, default, default),
                Width = Span.Full,
                Height = Span.Full,
                Fill = new InkPaint(Ink.Black)
            }));
        Harms(bare).ShouldBeEmpty();
        Harms(bare, knife: Length.FromMillimetres(3)).ShouldBeEmpty();
    }

    [Theory]
    [InlineData(false, 1)]
    [InlineData(true, 0)]
    public void A_colour_that_ends_on_a_fold_is_named_once_unless_the_next_one_is_the_same(bool same, int count)
    {
        RectItem over(string id, Part panel) =>
            new()
            {
                Id = id,
                Hold = new(panel, HoldBox.Edge, Anchor.Middle, default, default),
                Width = Span.Full,
                Height = Span.Full,
                Fill = new InkPaint(Ink.Percent(0, 0, 0, 40))
            };
        var job = same
            ? Sample.Job(over("spine", Part.Spine), over("front", Part.Front), over("back", Part.Back))
            : Sample.Job(over("spine", Part.Spine));
        Harms(job).Count(h => h.OnFold is not null).ShouldBe(count);
    }

    [Fact]
    public void Hidden_items_and_those_that_may_be_cut_are_left_alone()
    {
        Harms(Sample.Job(Whole("r", Part.Back, Anchor.TopLeft, -2, 40) with { Hidden = true })).ShouldBeEmpty();
        Harms(Sample.Job(Whole("r", Part.Back, Anchor.TopLeft, -2, 40) with { Whole = false })).ShouldBeEmpty();
    }
}

/// <summary>What hides all that lies under it.</summary>
public sealed class UnderTests
{
    private static readonly Bounds Window = new(100, 100, 200, 200);

    private static bool Hides(Func<RectItem, RectItem> change)
    {
        var rect = new RectItem
        {
            Id = "r",
            Hold = new(Part.Sheet, HoldBox.Edge, Anchor.Middle, default, default),
            Width = Span.Full,
            Height = Span.Full,
            Fill = new InkPaint(Ink.Black),
        };
        return Occlusion.Hides(Sample.Scene(Sample.Job(change(rect))).Item("r")!, Window);
    }

    [Fact]
    public void Only_a_whole_upright_opaque_rectangle_does()
    {
        Hides(r => r).ShouldBeTrue();
        Hides(r => r with { Opacity = 99 }).ShouldBeFalse();
        Hides(r => r with { Blend = Blend.Multiply }).ShouldBeFalse();
        Hides(r => r with { Turned = 3 }).ShouldBeFalse();
        Hides(r => r with { Corner = Length.FromMillimetres(2) }).ShouldBeFalse();
        Hides(r => r with { Fill = new FinishPaint("varnish") }).ShouldBeFalse();
        Hides(r => r with { Width = new(Length.FromInches(1)) }).ShouldBeFalse();
    }

    [Theory]
    [InlineData(true, Fit.Cover, true)]
    [InlineData(false, Fit.Cover, false)]
    [InlineData(true, Fit.Contain, false)]
    public void A_picture_does_where_nothing_shows_through_it_nor_beside_it(bool opaque, Fit fit, bool hides)
    {
        var picture = new PictureItem
        {
            Id = "p",
            Hold = new(Part.Sheet, HoldBox.Edge, Anchor.Middle, default, default),
            Width = Span.Full,
            Height = Span.Full,
            Fit = fit,
            Picture = new(new string('a', 64), "tall.jpg", 1000, 3000, opaque),
        };
        Occlusion.Hides(Sample.Scene(Sample.Job(picture)).Item("p")!, Window).ShouldBe(hides);
    }
}
