using System.Text.Json.Nodes;

namespace Lumbeck.Core.Tests;

/// <summary>What a ticket knows in words: each said where it stands on the cover, read as it is shown.</summary>
public sealed class TicketWordsTests
{
    private static Job With(params Item[] items)
    {
        var job = new Job(new() { Title = "The Salt Road", House = HouseFile.Shipped["tern"] }, [],
            [Wrap.First(Job.Cover, new Fill(new InkPaint(Ink.White)))]).WithPieces();
        return items.Aggregate(job, (j, i) => new AddItem(i).Apply(j));
    }

    private static TextItem Text(string id, TextRole role, string words, Part panel = Part.Back, bool starter = false) => new()
    {
        Id = id,
        Role = role,
        Words = words,
        Starter = starter,
        Hold = new(panel, HoldBox.Safe, Anchor.Top, default, default),
        Width = new(Length.FromMillimetres(60)),
        Height = new(Length.FromMillimetres(20)),
    };

    private static string Says(Job job, string id) => ((TextItem)job.Item(id)!).Words;

    [Fact]
    public void A_blurb_has_paragraphs_and_stands_wherever_the_cover_still_says_the_last_one()
    {
        var job = With(Text("new", TextRole.Blurb, "What the book is about", starter: true), Text("own", TextRole.Blurb, "My own"));
        job = new SetFact(TicketFact.Blurb, "One.\r\nTwo.\u202e ").Apply(job);
        job.Ticket.Blurb.ShouldBe("One.\nTwo.");
        Says(job, "new").ShouldBe("One.\nTwo.");
        Says(job, "own").ShouldBe("My own");
        job = new SetFact(TicketFact.Blurb, "Three.").Apply(job);
        Says(job, "new").ShouldBe("Three.");
        Should.Throw<Refusal>(() => new SetFact(TicketFact.Blurb, new('a', 4001)).Apply(job)).Message
            .ShouldContain("4001 letters is over 4000");
        Should.Throw<Refusal>(() => new SetFact(TicketFact.Category, new('a', 301)).Apply(job));
    }

    [Fact]
    public void A_spine_has_a_title_of_its_own_and_the_whole_one_again()
    {
        var job = With(Text("spine", TextRole.Title, "The Salt Road", Part.Spine), Text("front", TextRole.Title, "The Salt Road",
            Part.Front));
        job = new SetFact(TicketFact.SpineTitle, "Salt").Apply(job);
        (Says(job, "spine"), Says(job, "front")).ShouldBe(("Salt", "The Salt Road"));
        job = new SetFact(TicketFact.SpineTitle, "").Apply(job);
        (Says(job, "spine"), Says(job, "front")).ShouldBe(("The Salt Road", "The Salt Road"));
    }

    [Fact]
    public void What_was_said_of_it_is_read_as_it_is_shown()
    {
        ImmutableList<ReviewQuote> all = [new("What a book", "The Quayside Review"),
            new("I slept – at last", "A. Reader"), new("More", "")];
        ReviewQuote.TryParse(ReviewQuote.Show(all), out var read, out _).ShouldBeTrue();
        read.ShouldBe(all);
        ReviewQuote.TryParse("“Marked.” — Somebody", out read, out _).ShouldBeTrue();
        read.ShouldHaveSingleItem().ShouldBe(new("Marked.", "Somebody"));
        ReviewQuote.TryParse(" — nobody", out _, out var why).ShouldBeTrue();
        ReviewQuote.TryParse(string.Join('\n', Enumerable.Repeat("More", 11)), out _, out why).ShouldBeFalse();
        why.ShouldContain("11 review quotes");
        ReviewQuote.TryParse(new string('a', 601), out _, out why).ShouldBeFalse();
        why.ShouldContain("601 letters");
    }

    [Fact]
    public void A_job_of_an_earlier_form_has_the_blurb_of_its_text()
    {
        var job = With(Text("starter", TextRole.Blurb, "What the book is about", starter: true),
            Text("blurb", TextRole.Blurb, "In the dry year."));
        var json = JsonNode.Parse(JobJson.Write(job))!.AsObject();
        json["ticket"]!.AsObject().Remove("blurb");
        json["form"] = 5;
        JobJson.Read(System.Text.Encoding.UTF8.GetBytes(json.ToJsonString())).Ticket.Blurb.ShouldBe("In the dry year.");
        // What is read of this form has the blurb that it says, or none.
        json["form"] = 6;
        JobJson.Read(System.Text.Encoding.UTF8.GetBytes(json.ToJsonString())).Ticket.Blurb.ShouldBe("");
    }
}
