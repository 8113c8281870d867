using System.Text;
using Lumbeck.Tests.ByChance;

namespace Lumbeck.Desk.Tests;

/// <summary>
/// What a livery promises, over tickets by chance: within its capacity nothing that it lays is found fault with, no
/// words
/// lie over others, and nothing of the ticket is lost.
/// </summary>
public sealed class LiveryTests : IDisposable
{
    private readonly string _folder = Directory.CreateTempSubdirectory("lumbeck-").FullName;
    private readonly Desk _desk;

    public LiveryTests() => _desk = new(_folder, TimeProvider.System);

    public void Dispose()
    {
        Microsoft.Data.Sqlite.SqliteConnection.ClearAllPools();
        Directory.Delete(_folder, recursive: true);
    }

    private static readonly string[] Words =
        ["sea", "house", "a", "winter", "the", "of", "letters", "river", "north", "salt",
        "daughter", "between", "lamp", "orchard", "machine", "under", "glass"];

    private static readonly (string Language, string Title, string Author)[] Scripts =
        [("el", "Η θάλασσα του βορρά", "Ελένη Μαρή"), ("uk", "Зимова книга річок", "Ірина Ковач"),
            ("he", "המגדלור האחרון", "נועה אלמוג"), ("ar", "بحر الشمال", "ليلى حسن"), ("ja", "冬の灯台", "山田葵")];

    private static string Said(Chance r, int words) =>
        string.Join(' ', Enumerable.Range(0, words).Select(_ => r.Of(Words))) is { Length: > 0 } s
            ? char.ToUpperInvariant(s[0]) + s[1..]
            : "";

    private static Ticket ByChance(Chance r)
    {
        var foreign = r.One(4) ? r.Of(Scripts) : ((string Language, string Title, string Author)?)null;
        return new()
        {
            House = HouseFile.Shipped[r.Of("tern", "aldwater", "plover")],
            Title = foreign?.Title ?? Said(r, r.From(1, 9)),
            Author = foreign?.Author ?? r.Of("Ines Kallweit", "Rowan Achterberg", "Skerry & Vane"),
            Subtitle = foreign is null && r.One(2) ? Said(r, r.From(1, 8)) : "",
            Series = foreign is null && r.One(4) ? "Field logs" : "",
            SeriesNumber = "4",
            Language = foreign?.Language ?? "en",
            Reading = foreign is null ? Reading.LeftToRight : Language.Of(foreign.Value.Language).Reading,
            Blurb = r.One(4) ? "" : Said(r, r.From(30, 160)) + ".",
            Note = r.One(2) ? Said(r, r.From(10, 60)) + "." : "",
            Quotations = [.. Enumerable.Range(0, r.From(0, 2))
                .Select(_ => new Quoted(Said(r, r.From(3, 14)), "The Quayside Review"))],
            Isbn = r.One(2) && Isbn.TryParse("9780000000019", out var isbn, out _) ? isbn : null,
            Binding = r.Of(BindingKind.Paperback, BindingKind.Case, BindingKind.Jacket, BindingKind.Front,
                BindingKind.Booklet, BindingKind.Loose),
            Trim = Size.FromMillimetres(r.From(105, 280), r.From(140, 300)),
            Pages = 4 * r.From(2, 100),
            Flaps = r.One(3),
            Paper = new("Wove", Caliper.FromMillimetres(0.1m)),
        };
    }

    [Fact]
    public void What_a_livery_lays_is_found_no_fault_with_over_tickets_by_chance()
    {
        var faults = new List<string>();
        var fitted = 0;
        var tight = new List<string>();
        for (var seed = 1; seed <= 100; seed++)
        {
            var r = new Chance(seed);
            var livery = LiveryShelf.All[seed % LiveryShelf.All.Length];
            var job = new Job(ByChance(r), [], [Wrap.First(Job.Cover, new Fill(new InkPaint(Ink.White)))]).WithPieces();
            // What its printer can't make is no ticket of that printer.
            try { _ = job.Sheets(); }
            catch (Refusal) { continue; }
            var (edit, unfit) = Wearing.Of(job, livery.Id, r.From(1, 3), $"{seed}", "worn", _desk.Drawer.Shelf);
            if (unfit.Length > 0)
            {
                tight.Add(string.Join("; ", unfit) + $" {job.Ticket.Trim.Show(Unit.Millimetre)} {livery.Id}");
                continue;
            }
            fitted++;
            var on = _desk.Bench.Begin($"Job {seed}", Keeping.Right(edit.Apply(job), _desk.Drawer.Shelf), "test",
                $"job-{seed}");
            var laid = on.Job.Wraps.SelectMany(w => w.Take.Items).Select(i => i.Id).ToHashSet();
            faults.AddRange(on.Composed.Findings
                .Where(f => f.Severity is Severity.Stop or Severity.Caution && (f.Item is null ? f.Id.StartsWith("paper",
                    StringComparison.Ordinal)
                    || f.Id.StartsWith("zone", StringComparison.Ordinal)
                        || f.Id.StartsWith("bleed", StringComparison.Ordinal)
                        : laid.Contains(f.Item)))
                .Select(f => $"{seed} {livery.Id} {on.Job.Ticket.Binding} {on.Job.Ticket.House.Id}: {f.Id} {f.Item} " +
                    $"{f.Measured}"));
        }
        faults.ShouldBeEmpty();
        fitted.ShouldBeGreaterThan(60, string.Join('\n', tight));
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
        Keeping.Right(Wearing.Again(job, _desk.Drawer.Shelf).Apply(job), _desk.Drawer.Shelf);

    private Job Worn(Job job, string livery, string id) =>
        Keeping.Right(Wearing.Of(job, livery, 1, null, id, _desk.Drawer.Shelf).Edit.Apply(job), _desk.Drawer.Shelf);

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
            moved = Keeping.Right(moved, _desk.Drawer.Shelf);
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
