namespace Lumbeck.Desk.Tests;

/// <summary>What two do to one job at the same time is told, never lost or done twice in silence.</summary>
public sealed class ConflictTests : IDisposable
{
    private readonly string _folder = Directory.CreateTempSubdirectory("lumbeck-").FullName;
    private readonly AppServices _desk;
    private int _n;

    public ConflictTests()
    {
        _desk = new(_folder, TimeProvider.System);
        var job = Starters.Job(HouseFile.Shipped["tern"], "Salt");
        _desk.Bench.Begin("Salt", new AddItem(Starters.Item(job, "title", Part.Front, "title")).Apply(job), "begun");
        Do(new SetWords("title", "Salt and brine"), "begun");
        Do(new AddItem(new PictureItem
        {
            Id = "frame",
            Hold = new(Part.Front, HoldBox.Safe, Anchor.Middle, default, default),
            Width = new(Length.FromMillimetres(40)),
            Height = new(Length.FromMillimetres(30))
        }),
            "begun");
    }

    public void Dispose() => Directory.Delete(_folder, recursive: true);

    private long Tick => _desk.Jobs.Job("salt").Tick;

    private OnBench Do(Edit edit, string session, long? seen = null) =>
        _desk.Jobs.Apply("salt", new($"edit-{_n++:00000000}", session, _ => edit, seen));

    private Conflict Refused(Edit edit, string session, long seen)
    {
        var before = _desk.Jobs.Job("salt");
        var conflict = Should.Throw<Conflict>(() => Do(edit, session, seen));
        _desk.Jobs.Job("salt").Revision.ShouldBe(before.Revision);
        return conflict;
    }

    [Fact]
    public void An_item_whose_words_another_changed_is_not_removed_unasked()
    {
        var seen = Tick;
        Do(new SetWords("title", "Salt, brine and foam"), "one", seen);
        Refused(new RemoveItem("title"), "two", seen);
        Do(new RemoveItem("title"), "two").Job.Item("title").ShouldBeNull();
    }

    [Fact]
    public void Two_pictures_for_one_frame_are_told()
    {
        Picture[] kept = [.. Enumerable.Range(0, 2).Select(n => TakenIn(40 + n))];
        var seen = Tick;
        Do(new HangPicture("frame", kept[0]), "one", seen);
        Refused(new HangPicture("frame", kept[1]), "two", seen).Theirs.ShouldContain("40");
    }

    private Picture TakenIn(int wide)
    {
        using var image = (NetVips.Image.Black(wide, 30) + 90).Cast(NetVips.Enums.BandFormat.Uchar);
        return _desk.Drawer.Pictures.TakeIn(new MemoryStream(image.PngsaveBuffer()), $"{wide}.png", default)
            .GetAwaiter().GetResult();
    }

    [Fact]
    public void Covers_that_both_swap_are_swapped_once()
    {
        var seen = Tick;
        var swapped = Do(new SwapCovers(), "one", seen);
        Refused(new SwapCovers(), "two", seen);
        _desk.Jobs.Job("salt").Job.Item("title")!.Hold.Panel.ShouldBe(swapped.Job.Item("title")!.Hold.Panel);
    }

    [Fact]
    public void A_style_of_letters_is_of_the_words_as_they_were()
    {
        var seen = Tick;
        Do(new SetWords("title", "Salt"), "one", seen);
        Refused(new StyleText("title", Size: Length.FromPoints(30)) { From = 9, To = 14 }, "two", seen);
    }

    [Fact]
    public void What_is_done_to_a_take_is_meant_for_the_one_that_lay_on_the_bench()
    {
        var seen = Tick;
        Do(new AddTake(0, "pale", "Pale"), "one", seen);
        Refused(new SetWords("title", "Brine"), "two", seen);
        Refused(new PaintGround(new InkPaint(Ink.Black)), "two", seen);
        Refused(new AddItem(Starters.Item(_desk.Jobs.Job("salt").Job, "ellipse", Part.Front, "e")), "two", seen);
        // The ticket is all takes' own.
        Do(new SetPages(240), "two", seen).Job.Ticket.Pages.ShouldBe(240);
    }

    [Fact]
    public void Another_s_step_is_not_taken_back_unasked_and_one_s_own_is()
    {
        var opened = Tick;
        Do(new SetPages(240), "two");
        var on = Do(new SetFact(TicketFact.Author, "A. Vane"), "one");
        _desk.Jobs.Undo("salt", "one", since: opened).Job.Ticket.Author.ShouldBe("");
        // Under it lies the other's, made since this page was opened.
        Should.Throw<Conflict>(() => _desk.Jobs.Undo("salt", "one", since: opened)).Label.ShouldBe("pages");
        _desk.Jobs.Job("salt").Job.Ticket.Pages.ShouldBe(240);
        _desk.Jobs.Undo("salt", "one").Job.Ticket.Pages.ShouldNotBe(240);
        // What lay there when the page was opened was seen by whoever steps back.
        _desk.Jobs.Undo("salt", "three", since: Tick).Revision.ShouldBeLessThan(on.Revision);
    }
}
