using System.Text.Json.Nodes;

namespace Lumbeck.Desk.Tests;

/// <summary>Where values come from: the ticket reaches what comes from it, and a hand's words are the hand's.</summary>
public sealed class OriginTests : IDisposable
{
    private readonly string _folder = Directory.CreateTempSubdirectory("lumbeck-").FullName;
    private readonly AppServices _desk;
    private int _n;

    public OriginTests()
    {
        _desk = new(_folder, TimeProvider.System);
        var job = new Job(new()
        {
            House = HouseFile.Shipped["aldwater"],
            Title = "The Salt Road",
            Author = "Jonas Fell",
            Imprint = "Skerry & Vane",
            Pages = 320,
            Trim = Size.FromMillimetres(129, 198),
        }, [], [Wrap.First(Job.Cover, new Fill(new InkPaint(Ink.White)))]).WithPieces();
        _desk.Bench.Begin("Salt", job, "one", "salt");
        Do(Wearing.Of(_desk.Jobs.Job("salt").Job, "quayside", 1, null, "worn", _desk.Drawer.Shelf).Edit);
    }

    public void Dispose()
    {
        _desk.Dispose();
        Microsoft.Data.Sqlite.SqliteConnection.ClearAllPools();
        Directory.Delete(_folder, recursive: true);
    }

    private Job Do(Edit edit) => _desk.Jobs.Apply("salt", new($"edit-{_n++}", "one", _ => edit)).Job;

    private static TextItem Text(Job job, string id) => (TextItem)job.Item(id)!;

    [Fact]
    public void Words_that_a_livery_laid_follow_the_ticket_until_a_hand_writes_others()
    {
        var job = _desk.Jobs.Job("salt").Job;
        Text(job, "title").OriginOf(Origins.Words).ShouldBe(new Origin(OriginKind.Ticket, "title"));
        job = Do(new SetFact(TicketFact.Title, "The Long Salt Road"));
        Text(job, "title").Words.ShouldBe("The Long Salt Road");
        // A fact that is cleared on the way to another takes nothing off the cover.
        job = Do(new SetFact(TicketFact.Title, ""));
        Text(job, "title").Words.ShouldBe("The Long Salt Road");
        job = Do(new SetFact(TicketFact.Title, "Salt"));
        Text(job, "title").Words.ShouldBe("Salt");
        job = Do(new SetWords("title", "SALT!"));
        Text(job, "title").From.ShouldBeNull();
        job = Do(new SetFact(TicketFact.Title, "Pepper"));
        Text(job, "title").Words.ShouldBe("SALT!");
        Text(job, "author").OriginOf(Origins.Words)!.Value.Of.ShouldBe("author", "the others follow on");
    }

    [Fact]
    public void Words_that_a_hand_writes_while_the_ticket_says_none_are_the_hand_s()
    {
        Do(new SetFact(TicketFact.Title, ""));
        Do(new SetWords("title", "By hand"));
        var job = Do(new SetFact(TicketFact.Title, "By the ticket"));
        Text(job, "title").Words.ShouldBe("By hand");
        Text(job, "title").From.ShouldBeNull();
    }

    [Fact]
    public void Facts_of_any_role_are_followed()
    {
        var job = Do(new SetFact(TicketFact.Series, "Coast Books"));
        job = Do(new AddItem(Text(job, "author") with { Id = "by-hand", Role = TextRole.Free, Words = "Coast Books", Laid = null,
            From = null }));
        var told = Origins.Told(job.Item("by-hand")!, job.Ticket);
        told.OriginOf(Origins.Words).ShouldBe(new Origin(OriginKind.Ticket, "series"));
        var linked = job.WithItem("by-hand", _ => told);
        var next = EditPipeline.Run(new SetFact(TicketFact.Series, "Shore Books"), linked, _desk.Drawer.Shelf);
        Text(next, "by-hand").Words.ShouldBe("Shore Books");
    }

    [Fact]
    public void What_the_ticket_gets_later_is_laid_by_the_livery_but_for_what_a_hand_has_moved()
    {
        var before = _desk.Jobs.Job("salt").Job;
        before.Items.OfType<TextItem>().ShouldNotContain(t => t.Role == TextRole.Blurb);
        var moved = Do(new MoveItem("author", Length.FromMillimetres(3), Length.FromMillimetres(1)));
        var blurb = "A road of salt, and those who walk it in winter. " + string.Concat(Enumerable.Repeat("It is long. ", 20));
        var job = Do(new SetFact(TicketFact.Blurb, blurb.Trim()));
        job.Items.OfType<TextItem>().Single(t => t.Role == TextRole.Blurb).Words.ShouldBe(blurb.Trim());
        job.Item("author")!.Hold.ShouldBe(moved.Item("author")!.Hold);
        job.Item("author")!.Id.ShouldBe("author");
        // Words that change are followed in place: nothing is laid anew by every letter.
        var again = Do(new SetFact(TicketFact.Blurb, blurb.Trim() + " And it ends."));
        again.Items.OfType<TextItem>().Single(t => t.Role == TextRole.Blurb).Words.ShouldEndWith("And it ends.");
        // One step back takes both away.
        _desk.Jobs.Undo("salt", "one");
        _desk.Jobs.Undo("salt", "one").Job.Items.OfType<TextItem>().ShouldNotContain(t => t.Role == TextRole.Blurb);
    }

    [Fact]
    public void A_design_by_hand_follows_nothing_it_was_not_told_of()
    {
        var by = Starters.Job(HouseFile.Shipped["tern"], "By hand");
        var next = EditPipeline.Run(new SetFact(TicketFact.Blurb, "Words."), by, _desk.Drawer.Shelf);
        next.Items.OfType<TextItem>().ShouldAllBe(t => t.From == null);
    }

    [Fact]
    public void Words_that_a_livery_laid_in_form_6_come_from_the_ticket_in_form_7()
    {
        var job = Do(new SetWords("author", "Somebody Else"));
        var old = (JsonObject)JsonNode.Parse(JobJson.Write(job))!;
        old["form"] = 6;
        old.Remove("edition");
        old.Remove("editions");
        foreach (var wrap in (JsonArray)old["wraps"]!)
            foreach (var take in (JsonArray)wrap!["takes"]!)
                foreach (var item in (JsonArray)take!["items"]!) ((JsonObject)item!).Remove("from");
        var read = JobJson.Read(System.Text.Encoding.UTF8.GetBytes(old.ToJsonString()));
        Text(read, "title").OriginOf(Origins.Words).ShouldBe(new Origin(OriginKind.Ticket, "title"));
        Text(read, "author").From.ShouldBeNull();
        read.Edition.ShouldBe(Job.FirstEdition);
        JobJson.Write(read).AsSpan().SequenceEqual(JobJson.Write(job)).ShouldBeTrue();
    }

    [Fact]
    public void A_job_of_several_editions_is_stored_with_a_ticket_for_each_and_looked_over_at_the_door()
    {
        var job = _desk.Jobs.Job("salt").Job;
        var hard = new Edition("case", "Hardcover", job.Ticket with { Title = "The Salt Road", Pages = 400 });
        var both = job with { Editions = [hard] };
        var read = JobJson.Read(JobJson.Write(both));
        read.Editions.Single().Ticket.Pages.ShouldBe(400);
        JobJson.Write(read).AsSpan().SequenceEqual(JobJson.Write(both)).ShouldBeTrue();
        ImportValidation.Job(read);
        foreach (var odd in (Edition[])[hard with { Id = job.Edition }, hard with { Id = "../x" },
            hard with { Ticket = hard.Ticket with { Title = new string('x', 900) } }])
            Should.Throw<Refusal>(() => ImportValidation.Job(both with { Editions = [odd] }));
        Should.Throw<Refusal>(() => ImportValidation.Job(both with { Editions = [hard, hard] }));
        var far = job.WithItem("title", i => i with
        {
            From = i.From!.Add("more", new(OriginKind.Row, new string('x', 90))),
        });
        Should.Throw<Refusal>(() => ImportValidation.Job(far));
    }

    [Theory, InlineData("ticket/title", true), InlineData("row/7", true), InlineData("edition/case", true),
        InlineData("livery/quayside", true), InlineData("ticket/", false), InlineData("/title", false),
        InlineData("nobody/title", false), InlineData("title", false), InlineData("", false)]
    public void An_origin_is_a_kind_and_which_one(string text, bool isOne)
    {
        Origin.TryParse(text, out var origin).ShouldBe(isOne);
        if (isOne) origin.ToString().ShouldBe(text);
    }
}
