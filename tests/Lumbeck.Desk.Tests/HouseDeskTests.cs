using System.Text.Json;

namespace Lumbeck.Desk.Tests;

/// <summary>Houses of the maker's own, and jobs that keep the rules they were made with.</summary>
public sealed class HouseDeskTests : IDisposable
{
    private readonly string _folder = Directory.CreateTempSubdirectory("lumbeck-").FullName;
    private readonly AppServices _desk;
    private int _edits;

    public HouseDeskTests() => _desk = new(_folder, TimeProvider.System);

    public void Dispose() => Directory.Delete(_folder, recursive: true);

    private string Id => $"edit-{++_edits:00000000}";

    [Fact]
    public void A_house_that_ships_is_copied_and_the_copy_changed_back_and_forward_also_tomorrow()
    {
        Should.Throw<Refusal>(() => _desk.Houses.Edit("tern", Id, "bleed_mm", "4 mm"))
            .Message.ShouldContain("stays as it is: copy it");
        var copy = _desk.Houses.Copy("tern").House;
        (copy.Id, copy.Name).ShouldBe(("tern-2", "Tern & Tallow, own rules"));
        _desk.Houses.Edit("tern-2", Id, "bleed_mm", "0.2 in").House.Bleed.ShouldBe(Length.FromInches(0.2m));
        _desk.Houses.Edit("tern-2", Id, "name", "Corner press");
        // An edit sent twice is made once.
        var id = Id;
        var once = _desk.Houses.Edit("tern-2", id, "pages_max", "600");
        _desk.Houses.Edit("tern-2", id, "pages_max", "700").Tick.ShouldBe(once.Tick);

        var tomorrow = new AppServices(_folder, TimeProvider.System);
        tomorrow.Houses.Get("corner press").House.PagesMost.ShouldBe(600);
        tomorrow.Houses.Step("tern-2", forward: false).House.PagesMost.ShouldBe(900);
        tomorrow.Houses.Step("tern-2", forward: false).House.Name.ShouldBe("Tern & Tallow, own rules");
        tomorrow.Houses.Step("tern-2", forward: false).House.Bleed.ShouldBe(copy.Bleed);
        // The beginning stays the beginning.
        tomorrow.Houses.Step("tern-2", forward: false).Back.ShouldBeFalse();
        for (var i = 0; i < 3; i++) tomorrow.Houses.Step("tern-2", forward: true);
        tomorrow.Houses.Get("tern-2").House.PagesMost.ShouldBe(600);
        tomorrow.Houses.Get("tern-2").Forward.ShouldBeFalse();
    }

    [Fact]
    public void Names_stay_each_their_own()
    {
        _desk.Houses.Copy("tern");
        _desk.Houses.Copy("tern").House.Name.ShouldBe("Tern & Tallow, own rules 2");
        Should.Throw<Refusal>(() => _desk.Houses.Edit("tern-2", Id, "name", "plover street reprographics")).Message
            .ShouldContain("take another name");
        Should.Throw<Refusal>(() => _desk.Houses.Edit("tern-2", Id, "name", "")).Path.ShouldBe("name");
        Should.Throw<Refusal>(() => _desk.Houses.Edit("tern-2", Id, "id", "x"));
        Should.Throw<Refusal>(() => _desk.Houses.Edit("tern-2", Id, "colophon", "x")).Path.ShouldBe("colophon");
    }

    [Fact]
    public void A_house_file_goes_out_and_comes_in_again_and_a_wrong_one_is_refused_by_its_key()
    {
        var file = HouseFile.Write(_desk.Houses.Get("aldwater").House);
        var back = _desk.Houses.Import(file).House;
        (back.Id, back.Name).ShouldBe(("aldwater-2", "Aldwater Bindery 2"));
        HouseFile.Write(back with { Id = "aldwater", Name = "Aldwater Bindery" }).ShouldBe(file);
        foreach (var (json, path) in ((string, string)[])[("{", ""), ("[]", ""), ("{}", "name"),
            ("{\"name\":\"X\",\"bleeds_mm\":3}", "bleeds_mm"), ("{\"name\":\"X\",\"bleed_mm\":\"three\"}", "bleed_mm"),
            ("{\"name\":\"X\",\"papers\":[{\"name\":\"P\"}]}", "papers"),
            ("{\"name\":\"X\",\"pages_min\":50,\"pages_max\":40}", "pages_min")])
            Should.Throw<Refusal>(() => _desk.Houses.Import(json)).Path.ShouldBe(path, json);
        var both = Should.Throw<Refusal>(() =>
            _desk.Houses.Import("{\"name\":\"X\",\"bleeds_mm\":3,\"marks\":\"some\",\"unit\":\"mm\"}"))
            .Message;
        both.ShouldContain("no printer has a key `bleeds_mm`: did you mean");
        both.ShouldContain("`marks` can't be `\"some\"`: it takes one of `none`");
        _desk.Houses.All().Count.ShouldBe(5);
    }

    [Fact]
    public void A_job_keeps_its_rules_is_told_when_they_change_and_takes_them_as_an_edit()
    {
        _desk.Houses.Copy("tern");
        var on = _desk.Bench.Begin("Salt", Starters.Job(_desk.Houses.Get("tern-2").House, "Salt", null, "312"),
            "tests");
        _desk.Houses.HasNews(on.Job).ShouldBeFalse();
        _desk.Houses.Edit("tern-2", Id, "bleed_mm", "0.25 in");
        var sheet = on.Composed.Geometry.Sheet.Size;
        _desk.Jobs.Job("salt").Composed.Geometry.Sheet.Size.ShouldBe(sheet);
        var news = _desk.Houses.News(_desk.Jobs.Job("salt").Job)!;
        news.Keys.ShouldBe([("bleed", "0.125 in", "0.25 in")]);
        (news.Would!.Geometry.Sheet.Size.Height - sheet.Height).ShouldBe(Length.FromInches(0.25m));
        var taken = _desk.Jobs.Apply("salt",
            new(Id, "tests", j => new SetHouse(_desk.Houses.Get(j.Ticket.House.Id).House)));
        taken.Composed.Geometry.Sheet.Size.ShouldBe(news.Would.Geometry.Sheet.Size);
        _desk.Houses.HasNews(taken.Job).ShouldBeFalse();
        _desk.Jobs.Undo("salt", "tests").Composed.Geometry.Sheet.Size.ShouldBe(sheet);
        // Rules that make no sheet of the job say so.
        _desk.Houses.Edit("tern-2", Id, "sheet_max_mm", "6 x 6 in");
        var refused = _desk.Houses.News(_desk.Jobs.Job("salt").Job)!;
        refused.Would.ShouldBeNull();
        refused.Refused!.ShouldContain("larger than the press");
    }

    [Fact]
    public void A_house_put_away_is_taken_out_again_and_its_jobs_never_noticed()
    {
        _desk.Houses.Copy("plover");
        var on = _desk.Bench.Begin("Reeds", Starters.Job(_desk.Houses.Get("plover-2").House, "Reeds"), "tests");
        _desk.Houses.PutAway("plover-2");
        _desk.Houses.Find("plover-2").ShouldBeNull();
        _desk.Houses.Away().ShouldBe(["plover-2"]);
        _desk.Houses.HasNews(_desk.Jobs.Job(on.Slug).Job).ShouldBeFalse();
        Should.Throw<Refusal>(() => _desk.Houses.Edit("plover-2", Id, "bleed_mm", "4"));
        _desk.Houses.TakeOut("plover-2");
        _desk.Houses.Get("plover-2").House.Name.ShouldBe("Plover Street Reprographics, own rules");
        Should.Throw<Refusal>(() => _desk.Houses.PutAway("plover")).Message.ShouldContain("ships with Lumbeck");
    }

    [Fact]
    public void A_job_begins_from_its_facts_from_an_inside_or_from_another_job()
    {
        var plover = _desk.Houses.Get("plover").House;
        var facts = Starters.Job(plover, "", "148 x 210", "96");
        (facts.Ticket.Trim.Show(Unit.Millimetre), facts.Ticket.Pages, facts.Sheets().Length)
            .ShouldBe(("148 × 210 mm", 96, 1));
        Should.Throw<Refusal>(() => Starters.Job(plover, "", null, "-4")).Path.ShouldBe("ticket/pages");
        var inside = new InsideFile("reed warbler.pdf", 88, [new(Size.FromMillimetres(126, 196), 88, 1)], false, false);
        var begun = Starters.Job(plover, "", inside).Ticket;
        (begun.Title, begun.Pages, begun.Trim.Show(Unit.Millimetre)).ShouldBe(("reed warbler", 88, "120 × 190 mm"));
        var demo = new AppServices(DemoData.In(Path.Combine(_folder, "demo")), TimeProvider.System, DemoBench.Load);
        var copy = Starters.Copy(demo.Jobs.Job("calder").Job);
        (copy.Ticket.Title, copy.Ticket.Isbn, copy.Wraps.Count).ShouldBe(("Winter over Calder Sound, copy", null, 2));
        demo.Bench.Begin(copy.Ticket.Title, copy, "tests").Slug.ShouldBe("winter-over-calder-sound-copy");
    }
}
