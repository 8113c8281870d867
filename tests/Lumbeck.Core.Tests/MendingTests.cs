namespace Lumbeck.Core.Tests;

/// <summary>
/// Mends of the rules that were there before: each leaves nothing of what it mends, and is one edit like any other.
/// </summary>
public sealed class MendingTests
{
    private static Finding Found(Job job, string id) => Sample.Check(job).First(f => f.Id == id);

    private static Job Mended(Job job, string id)
    {
        var found = Found(job, id);
        found.Fix.ShouldNotBeNull(id);
        var after = EditPipeline.Settle(found.Fix.Apply(job), new PlainType());
        Sample.Check(after).ShouldNotContain(f => f.Id == id && f.Severity == found.Severity && f.Item == found.Item);
        // As a step it has words, and it survives the store.
        found.Fix.Says(job).ShouldNotBeNullOrWhiteSpace();
        JobJson.Write(EditJson.Read(EditJson.Write(found.Fix)).Apply(job)).AsSpan()
            .SequenceEqual(JobJson.Write(found.Fix.Apply(job)))
            .ShouldBeTrue(id);
        return after;
    }

    [Fact]
    public void Tickets() // pages under and over, a pinned spine, a turned trim
    {
        Mended(new SetPages(12).Apply(Sample.Job()), "ticket.pages").Ticket.Pages.ShouldBe(24);
        Mended(new PinSpine(Length.FromInches(1)).Apply(Sample.Job()), "ticket.spine-pinned")
            .Ticket.PinnedSpine.ShouldBeNull();
        Mended(new SetTrim(Size.FromInches(9, 6)).Apply(Sample.Job()), "ticket.trim")
            .Ticket.Trim.ShouldBe(Size.FromInches(6, 9));
    }

    [Theory]
    [InlineData(Part.Back, Anchor.TopLeft, -0.1, -0.1)]
    [InlineData(Part.Front, Anchor.TopRight, 0.2, 0.1)]
    [InlineData(Part.Back, Anchor.Bottom, 0, 0.4)]
    public void Words_past_a_safe_line_are_moved_in_and_no_farther(Part panel, Anchor anchor, double dx, double dy)
    {
        var after = Mended(Sample.Job(Sample.Text("t", "near the cut", panel: panel, box: HoldBox.Face, anchor: anchor,
            wide: 1, dx: (decimal)dx, dy: (decimal)dy)),
            "zone.trim");
        var on = after.Sheets()[0];
        var ink = Sample.Scene(after).Item("t")!.Inked.ToBox();
        var safe = on.Sheet.Safe;
        new[] { ink.X - safe.X, ink.Y - safe.Y, safe.Right - ink.Right, safe.Bottom - ink.Bottom }.Min()
            .ShouldBeLessThan(Length.FromMillimetres(0.2m));
    }

    [Fact]
    public void Words_wider_than_their_panel_are_set_again_within_it()
    {
        var wide = Sample.Text("t", "a line that is far too long for one panel of so small a book as this", size: 24,
            wide: 9, high: 0.5m);
        Mended(Sample.Job(wide), "zone.fold");
    }

    [Fact]
    public void Spine_words_go_where_the_house_prints_none_and_are_composed_where_it_does()
    {
        var spine = Sample.Text("s", "Salt", TextRole.Title, Part.Spine, size: 40, wide: 3, high: 1);
        ((TextItem)Mended(Sample.Job(spine), "zone.spine").Item("s")!).Composed.ShouldBeTrue();
        Mended(new SetPages(60).Apply(Sample.Job(spine)), "zone.spine").Item("s")!.Hidden.ShouldBeTrue();
    }

    [Fact]
    public void Words_that_do_not_fit_are_shrunk_and_starters_take_the_ticket_s_words()
    {
        ((TextItem)Mended(Sample.Job(Sample.Text("t", "far more words than so small a box can hold at this size",
            size: 30, wide: 1, high: 0.6m)),
            "text.overset")
            .Item("t")!)
            .Fit
            .ShouldBe(Fitting.Shrink);
        ((TextItem)Mended(Sample.Job(Sample.Text("t", "Title of the book", TextRole.Title) with { Starter = true }),
            "text.placeholder")
            .Item("t")!)
            .Words
            .ShouldBe("Salt");
    }

    [Fact]
    public void Barcodes_come_home_uncovered_at_a_size_the_house_reads()
    {
        BarcodeItem code(decimal dx, decimal percent = 100) =>
            new()
            {
                Id = "c",
                Hold = new(Part.Back, HoldBox.Room, Anchor.Middle, Length.FromInches(dx), default),
                Percent = percent
            };
        Mended(Sample.Job(code(-1)), "barcode.room");
        Mended(Sample.Job(code(0, 70)), "barcode.room");
        ((BarcodeItem)Mended(Sample.Job(code(0, 160)), "barcode.room").Item("c")!)
            .Percent.ShouldBeLessThanOrEqualTo(140);
        var over = Sample.Text("over", "over it", panel: Part.Back, box: HoldBox.Room, wide: 1);
        Mended(Sample.Job(code(0), over), "barcode.room").Take.Items[^1].Id.ShouldBe("c");
        ((BarcodeItem)Mended(Sample.Job(code(0) with { Number = "9783161484100" }), "barcode.digits").Item("c")!)
            .Number.ShouldBeNull();
    }

    [Fact]
    public void Blacks_are_mixed_for_what_they_paint()
    {
        var text = Sample.Text("t", "small and rich", size: 8);
        Mended(Sample.Job(text with { Style = text.Style with { Paint = new InkPaint(Ink.Percent(60, 40, 40, 100)) } }),
            "ink.black");
        var large = new RectItem
        {
            Id = "r",
            Hold = new(Part.Front, HoldBox.Face, Anchor.Middle, default, default),
            Width = Span.Full,
            Height = Span.Full,
            Fill = new InkPaint(Ink.Black),
        };
        var job = Mended(Sample.Job(large), "ink.black");
        ((InkPaint)((RectItem)job.Item("r")!).Fill!.Paint!).Ink.ShouldBe(job.Ticket.House.RichBlack);
    }

    [Fact]
    public void A_locked_item_is_left_to_its_maker()
    {
        var job = new LockItem("t", true)
            .Apply(Sample.Job(Sample.Text("t", "near", panel: Part.Back, box: HoldBox.Face, anchor: Anchor.TopLeft,
                wide: 1)));
        Found(job, "zone.trim").Fix.ShouldBeNull();
    }
}
