using System.Text;

namespace Lumbeck.Desk.Tests;

/// <summary>
/// Liveries on a job: their capacity and contrasts, what is set again, and what finds no place.
/// </summary>
public sealed class LiveryTests : IDisposable
{
    private readonly string _folder = Directory.CreateTempSubdirectory("lumbeck-").FullName;
    private readonly AppServices _desk;

    public LiveryTests() => _desk = new(_folder, TimeProvider.System);

    public void Dispose()
    {
        Microsoft.Data.Sqlite.SqliteConnection.ClearAllPools();
        Directory.Delete(_folder, recursive: true);
    }

    /// <summary>What the command line says of its capacity.</summary>
    [Fact]
    public void Every_livery_has_room_for_the_longest_title_that_it_says()
    {
        var title = string.Concat(Enumerable.Repeat("The harbour in winter ", 9))[..LiveryShelf.LongestTitle];
        foreach (var livery in LiveryShelf.All)
            foreach (var trim in (Size[])[Size.FromMillimetres(129, 198), Size.FromInches(6, 9),
                Size.FromMillimetres(297, 210)])
            {
                var job = new Job(new()
                {
                    House = HouseFile.Shipped["aldwater"],
                    Title = title,
                    Author = "Ines Kallweit",
                    Trim = trim
                },
                    [], [Wrap.First(Job.Cover, new Fill(new InkPaint(Ink.White)))]).WithPieces();
                Wearing.Of(job, livery.Id, 1, null, "worn", _desk.Drawer.Shelf)
                    .Unfit.ShouldBeEmpty($"{livery.Id} {trim}");
            }
    }

    private static Job Book(string title = "The Salt Road", string author = "Jonas Fell") => new Job(new()
    {
        House = HouseFile.Shipped["aldwater"],
        Title = title,
        Author = author,
        Pages = 320,
        Trim = Size.FromMillimetres(129, 198),
    }, [], [Wrap.First(Job.Cover, new Fill(new InkPaint(Ink.White)))]).WithPieces();

    private Job Again(Job job) =>
        EditPipeline.Settle(Wearing.Again(job, _desk.Drawer.Shelf).Apply(job), _desk.Drawer.Shelf);

    private Job Worn(Job job, string livery, string id) =>
        EditPipeline.Settle(Wearing.Of(job, livery, 1, null, id, _desk.Drawer.Shelf).Edit.Apply(job),
            _desk.Drawer.Shelf);

    private async Task<Picture> Kept(int wide, int high)
    {
        using var image = NetVips.Image.Black(wide, high) + 90;
        using var png = new MemoryStream(image.Cast(NetVips.Enums.BandFormat.Uchar).PngsaveBuffer());
        return await _desk.Drawer.Pictures.TakeIn(png, "picture.png", default);
    }

    [Fact]
    public async Task The_ticket_s_own_pictures_are_laid_in_their_places_and_never_taken_for_the_cover_s()
    {
        var (portrait, mark) = (await Kept(800, 1000), await Kept(600, 600));
        var book = new SetFact(TicketFact.Note, "Jonas Fell keeps a small boat.").Apply(Book());
        book = new SetTicketPicture(TicketPicture.Portrait, portrait).Apply(book);
        book = new SetTicketPicture(TicketPicture.Mark, mark).Apply(book);
        var worn = Worn(Worn(book, "quayside", "one"), "meridian", "two");
        worn.Take.Beside.ShouldBeEmpty();
        worn.Take.Items.OfType<PictureItem>().Select(p => (p.Id, p.Hold.Panel, p.Picture)).ShouldBe(
            [("spine-mark", Part.Spine, mark), ("portrait", Part.Back, portrait)], ignoreOrder: true);
        // Words on the spine end before the mark begins.
        var sheet = _desk.Jobs.Worked(0, worn).Sheets[0];
        var foot = sheet.Scene.Item("spine-mark")!.Inked;
        foreach (var words in worn.Take.Items.OfType<TextItem>().Where(t => t.Hold.Panel == Part.Spine))
            sheet.Scene.Item(words.Id)!.Inked.Bottom.ShouldBeLessThan(foot.Top);
        // Off again, with what said it; packed, it is there again.
        using var pack = new MemoryStream();
        _desk.Bench.WritePack(_desk.Bench.Begin("Salt", worn, "test"), pack);
        pack.Position = 0;
        using var other = new Folder();
        var there = new AppServices(other.Path, TimeProvider.System);
        var unpacked = (await there.Bench.Unpack(pack, "test")).Job;
        unpacked.Ticket.Pictures.ShouldBe([mark, portrait]);
        unpacked.Ticket.Pictures.ShouldAllBe(p => there.Drawer.Pictures.Has(p.Hash));
        Again(new SetTicketPicture(TicketPicture.Mark).Apply(worn)).Items.OfType<PictureItem>().Select(p => p.Id)
            .ShouldBe(["portrait"]);
    }

    private sealed class Folder : IDisposable
    {
        public string Path { get; } = Directory.CreateTempSubdirectory("lumbeck-").FullName;
        public void Dispose()
        {
            Microsoft.Data.Sqlite.SqliteConnection.ClearAllPools();
            Directory.Delete(Path, recursive: true);
        }
    }

    /// <summary>What a book of pages is bought for is shown on its back: they are pictures of those very pages.</summary>
    [Fact]
    public void The_back_of_a_notebook_shows_its_own_pages()
    {
        var desk = new AppServices(DemoData.In(Path.Combine(_folder, "demo")), TimeProvider.System, DemoBench.Load);
        var hive = new SetFact(TicketFact.Blurb, "").Apply(desk.Jobs.Job("hive").Job);
        var n = 0;
        Job worn(Job job) => EditPipeline.Settle(desk.Liveries.Wear(job, "ledger", 1, null,
            $"worn-{++n}").Edit.Apply(job),
            desk.Drawer.Shelf);
        var laid = worn(hive);
        var pages = laid.Take.Items.OfType<PictureItem>().Where(p => p.Laid!.Part.StartsWith("page-",
            StringComparison.Ordinal)).ToList();
        pages.Count.ShouldBe(3);
        pages.Select(p => p.Picture!.Hash).Distinct().Count().ShouldBe(3);
        pages.ShouldAllBe(p => p.Picture!.Space == PictureSpace.Gray && p.Hold.Panel == Part.Back);
        laid.Items.OfType<TextItem>().Single(t => t.Laid?.Part == "contents").Words.Split('\n').Length.ShouldBe(3);
        desk.Jobs.Worked(0, laid).Findings.Where(f => pages.Any(p => p.Id == f.Item)).ShouldAllBe(f =>
            f.Severity == Severity.Note);
        // Again, they are the same pictures; a novel has none.
        worn(laid).Take.Items.OfType<PictureItem>().Select(p => p.Picture!.Hash).ShouldBe(pages.Select(p => p.Picture!.Hash));
        EditPipeline.Settle(desk.Liveries.Wear(hive, "quayside", 1, null, "other").Edit.Apply(hive), desk.Drawer.Shelf)
            .Take.Items.OfType<PictureItem>().ShouldBeEmpty();
    }

    [Fact]
    public void Where_a_wrap_holds_as_many_takes_as_it_can_one_is_let_go_by_name()
    {
        var job = Book();
        for (var n = 2; n <= AddTake.Most; n++) job = new AddTake(0, $"take-{n}", $"Take {n}").Apply(job);
        var edit = Wearing.Of(job, "quayside", 1, null, "worn", _desk.Drawer.Shelf).Edit;
        Should.Throw<Refusal>(() => edit.Apply(job)).Message.ShouldBe(
            "the cover holds 24 takes, as many as it can: say which one to let go");
        Should.Throw<Refusal>(() => (edit with { LetGo = ["take-99"] }).Apply(job));
        var laid = (edit with { LetGo = ["take-7"] }).Apply(job);
        laid.Wraps[0].Takes.Count.ShouldBe(AddTake.Most);
        laid.Wraps[0].Find("take-7").ShouldBeNull();
        laid.Take.Name.ShouldBe("Quayside");
        // Where there is room nothing goes.
        (edit with { LetGo = ["take-7"] }).Apply(new RemoveTake(0, "take-3").Apply(job)).Wraps[0].Find("take-7")
            .ShouldNotBeNull();
    }

    /// <summary>Over every livery: the words change, the picture of what a hand did stays.</summary>
    [Fact]
    public void Set_again_composes_what_no_hand_has_moved()
    {
        foreach (var livery in LiveryShelf.All)
        {
            var job = Worn(Book(), livery.Id, "one");
            // As it was laid it is set again to the very same.
            Encoding.UTF8.GetString(JobJson.Write(Again(job)))
                .ShouldBe(Encoding.UTF8.GetString(JobJson.Write(job)), $"{livery.Id}, nothing changed");
            var moved = new MoveItem("author", Length.Zero, Length.FromPoints(-20)).Apply(job);
            moved = new RemoveItem("spine-author").Apply(moved);
            moved = new SetFact(TicketFact.Title, "The Long Road of Salt and Rain").Apply(moved);
            moved = new SetFact(TicketFact.Subtitle, "a journey").Apply(moved);
            moved = EditPipeline.Settle(moved, _desk.Drawer.Shelf);
            var again = Again(moved);
            again.Item("author")!.Hold.ShouldBe(moved.Item("author")!.Hold, livery.Id);
            again.Item("spine-author").ShouldBeNull("what was taken away is not laid again");
            again.Item("subtitle").ShouldNotBeNull("what the ticket says since then is laid");
            var title = (TextItem)again.Item("title")!;
            title.Words.ShouldBe("The Long Road of Salt and Rain");
            var anew = (TextItem)Worn(moved, livery.Id, "two").Item("title")!;
            (title.Hold, title.Width, title.Height, title.Style).ShouldBe((anew.Hold, anew.Width, anew.Height, anew.Style),
                $"{livery.Id}: as it would be laid now");
        }
    }

    /// <summary>What a livery has no place for is kept, told, and can be laid.</summary>
    [Fact]
    public void Words_a_ticket_does_not_know_lie_beside_the_sheet_and_forced_breaks_stay()
    {
        var job = Book();
        var hold = new Hold(Part.Front, HoldBox.Safe, Anchor.Middle, default, default);
        job = job.With(0, job.Take with
        {
            Items =
            [
                new TextItem { Id = "title", Role = TextRole.Title, Words = "The Salt\nRoad", Hold = hold },
                new TextItem { Id = "stray", Words = "Signed by the author", Hold = hold },
                new TextItem { Id = "by", Role = TextRole.Author, Words = "Jonas Fell", Hold = hold },
                new CodeItem { Id = "code", Hold = hold, Link = "https://example.org" },
            ],
        });
        foreach (var livery in LiveryShelf.All)
        {
            var worn = Worn(job, livery.Id, "one");
            ((TextItem)worn.Item("title")!).Words.ShouldBe("The Salt\nRoad");
            worn.Take.Beside.Select(i => i.Id).ShouldBe(["stray", "code"]);
            var next = Worn(worn, "folio", "two");
            next.Take.Beside.Count.ShouldBe(2, "and through a second livery");
            var laid = new LayBeside(0, "stray", Part.Back).Apply(next);
            laid.Take.Beside.Count.ShouldBe(1);
            laid.Item("stray")!.Hold.Panel.ShouldBe(Part.Back);
            JobJson.Read(JobJson.Write(laid)).Take.Beside.Count.ShouldBe(1);
            ImportValidation.Job(laid);
        }
    }

    [Fact]
    public void An_empty_ticket_a_title_without_end_and_a_picture_are_composed_or_said()
    {
        var picture = new Picture(new string('a', 64), "pass.jpg", 3000, 4000, true);
        foreach (var livery in LiveryShelf.All)
        {
            var empty = Worn(Book("", ""), livery.Id, "one");
            _desk.Jobs.Worked(0, empty).Findings.ShouldNotContain(f => f.Severity == Severity.Stop && f.Item != null);
            Wearing.Of(Book(string.Concat(Enumerable.Repeat("endless words ", 143))), livery.Id, 1, null, "one",
                _desk.Drawer.Shelf)
                .Unfit.ShouldContain(u => u.StartsWith("a title of 2002 letters", StringComparison.Ordinal), livery.Id);
            var shown = Book();
            shown = shown.With(0, shown.Take with
            {
                Items = [new PictureItem { Id = "mine", Hold = new(Part.Back, HoldBox.Safe, Anchor.Middle, default, default),
                    Width = new(Length.FromMillimetres(40)), Height = new(Length.FromMillimetres(40)), Picture = picture }],
            });
            var worn = Worn(shown, livery.Id, "one");
            worn.Take.Pictures.ShouldContain(picture, livery.Id);
            worn.Take.Beside.ShouldBeEmpty(livery.Id);
        }
    }

    /// <summary>A spine in Japanese is read upright; one from right to left has the title at its head too.</summary>
    [Fact]
    public void Spines_stand_as_their_language_has_them()
    {
        foreach (var livery in LiveryShelf.All)
        {
            var japanese = Book("冬の灯台", "山田葵");
            japanese = japanese with { Ticket = japanese.Ticket with { Language = "ja" } };
            ((TextItem)Worn(japanese, livery.Id, "one").Item("spine-title")!).Upright.ShouldBeTrue(livery.Id);
            ((TextItem)Worn(Book(), livery.Id, "one").Item("spine-title")!).Upright.ShouldBeFalse(livery.Id);
            var hebrew = Book("המגדלור האחרון", "נועה אלמוג");
            hebrew = hebrew with { Ticket = hebrew.Ticket with { Language = "he", Reading = Reading.RightToLeft } };
            var worn = Worn(hebrew, livery.Id, "one");
            _desk.Jobs.Worked(0, worn).Findings.ShouldNotContain(f => f.Severity < Severity.Todo && f.Item != null,
                livery.Id);
        }
    }

    /// <summary>Words are legible in every set of colours.</summary>
    [Fact]
    public void Every_colourway_holds_its_contrast() =>
        LiveryShelf.All.SelectMany(l => l.Colourways.Select(w => (l, w)))
            .ShouldAllBe(x => Seen.Contrast(x.w.Of(x.l.Words), x.w.Of(x.l.On)) >= 4.5);

    [Fact]
    public void There_are_sixteen_for_all_shelves_in_three_sets_of_colours_each()
    {
        LiveryShelf.All.Length.ShouldBeGreaterThanOrEqualTo(16);
        LiveryShelf.All.Select(l => l.Id).Distinct().Count().ShouldBe(LiveryShelf.All.Length);
        LiveryShelf.All.ShouldAllBe(l => l.Colourways.Length >= 3);
        LiveryShelf.All.SelectMany(l => l.Shelves).Distinct().ShouldBeSubsetOf(
            ["literary novel", "thriller", "romance", "science fiction", "fantasy", "history", "memoir", "poetry", "essays",
                "cookery", "gardening", "children’s picture book", "business and self-help", "textbook", "workbook", "travel",
                "notebook", "journal", "logbook", "puzzle or colouring book", "family recipes", "true crime"]);
    }
}
