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

    /// <summary>Words are legible in every set of colours: black on its light field.</summary>
    [Fact]
    public void Every_colourway_holds_its_contrast() =>
        LiveryShelf.All.SelectMany(l => l.Colourways).ShouldAllBe(w => Seen.Contrast(w.Ink, w.Light) >= 4.5);
}
