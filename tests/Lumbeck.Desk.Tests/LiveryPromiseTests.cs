using Lumbeck.Tests.ByChance;

namespace Lumbeck.Desk.Tests;

/// <summary>
/// What a livery promises, over tickets by chance: within its capacity nothing that it lays is found fault with, no words
/// lie over others, and nothing empty looks forgotten.
/// </summary>
public sealed class LiveryPromiseTests(ITestOutputHelper output) : IDisposable
{
    private readonly string _folder = Directory.CreateTempSubdirectory("lumbeck-").FullName;
    private AppServices Desk => field ??= new(_folder, TimeProvider.System);

    public void Dispose()
    {
        Microsoft.Data.Sqlite.SqliteConnection.ClearAllPools();
        Directory.Delete(_folder, recursive: true);
    }

    private static bool All => Environment.GetEnvironmentVariable("LUMBECK_TEST_ALL") == "1";

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

    /// <summary>Pictures in the drawer, large enough for what they are laid as.</summary>
    private async Task<ImmutableArray<Picture>> Pictures()
    {
        var made = ImmutableArray.CreateBuilder<Picture>();
        foreach (var (wide, high) in new[] { (900, 1125), (800, 800), (1300, 1300) })
        {
            using var image = NetVips.Image.Black(wide, high) + 150;
            using var png = new MemoryStream(image.Cast(NetVips.Enums.BandFormat.Uchar).PngsaveBuffer());
            made.Add(await Desk.Drawer.Pictures.TakeIn(png, $"{wide}.png", default));
            Desk.Drawer.Pictures.Say(made[^1].Hash, "drawn for this", "A. Hand", "any use");
        }
        return made.ToImmutable();
    }

    private static Ticket ByChance(Chance r, ImmutableArray<Picture> pictures)
    {
        var foreign = r.One(4) ? r.Of(Scripts) : ((string Language, string Title, string Author)?)null;
        var title = r.From(0, 9) switch
        {
            0 => Said(r, 1)[..1],
            1 => Said(r, 24) is var long_ ? long_[..Math.Min(long_.Length, LiveryShelf.LongestTitle)].Trim() : "",
            _ => Said(r, r.From(1, 9)),
        };
        return new()
        {
            House = HouseFile.Shipped[r.Of([.. HouseFile.Shipped.Keys.Order(StringComparer.Ordinal)])],
            Title = foreign?.Title ?? title,
            Author = foreign?.Author ?? r.Of("Ines Kallweit", "Rowan Achterberg", "Skerry & Vane", ""),
            Subtitle = foreign is null && r.One(2) ? Said(r, r.From(1, 8)) : "",
            Series = foreign is null && r.One(4) ? "Field logs" : "",
            SeriesNumber = "4",
            Imprint = r.One(2) ? "Saltmarsh Press" : "",
            Category = r.One(3) ? "Fiction / Sea stories" : "",
            Price = r.One(3) ? new(r.From(4, 40), "EUR") : null,
            Language = foreign?.Language ?? "en",
            Reading = foreign is null ? Reading.LeftToRight : Language.Of(foreign.Value.Language).Reading,
            Blurb = r.One(4) ? "" : Said(r, r.One(3) ? r.From(1, 300) : r.From(120, 200)) + ".",
            Note = r.One(2) ? Said(r, r.From(1, 80)) + "." : "",
            ReviewQuotes = [.. Enumerable.Range(0, r.From(0, 3))
                .Select(_ => new ReviewQuote(Said(r, r.From(3, 14)), "The Quayside Review"))],
            Isbn = r.One(2) && Isbn.TryParse("9780000000019", out var isbn, out _) ? isbn : null,
            Binding = r.Of(BindingKind.Paperback, BindingKind.Case, BindingKind.Jacket, BindingKind.Front,
                BindingKind.Booklet, BindingKind.Loose),
            Trim = Size.FromMillimetres(r.From(100, 300), r.From(140, 330)),
            Pages = 4 * r.From(2, r.One(5) ? 180 : 100),
            Flaps = r.One(3),
            Paper = new("Wove", Caliper.FromMillimetres(r.One(6) ? 0.2m : 0.1m)),
            Portrait = r.One(3) ? pictures[0] : null,
            Mark = r.One(3) ? pictures[1] : null,
        };
    }

    [Fact]
    public async Task What_a_livery_lays_is_found_no_fault_with_over_tickets_by_chance()
    {
        var (faults, tight, empty, over) = (new List<string>(), new List<string>(), new List<string>(), new List<string>());
        var (fitted, plated, many) = (0, 0, All ? 10_000 : 100);
        var pictures = await Pictures();
        for (var seed = 1; seed <= many; seed++)
        {
            var r = new Chance(seed);
            var livery = LiveryShelf.All[seed % LiveryShelf.All.Length];
            var job = new Job(ByChance(r, pictures), [], [Wrap.First(Job.Cover, new Fill(new InkPaint(Ink.White)))]).WithPieces();
            // What its printer can't make is no ticket of that printer.
            try { _ = job.Sheets(); }
            catch (Refusal) { continue; }
            var (edit, unfit) = Wearing.Of(job, livery.Id, r.From(1, 3), $"{seed}", "worn", Desk.Drawer.Shelf,
                r.One(2) ? new([.. Enumerable.Repeat(pictures[2], r.From(1, 3))], ["Weather and stores, 112 pages"]) : null);
            if (unfit.Length > 0)
            {
                tight.Add(string.Join("; ", unfit) + $" {job.Ticket.Trim.Show(Unit.Millimetre)} {livery.Id}");
                continue;
            }
            fitted++;
            var worn = EditPipeline.Settle(edit.Apply(job), Desk.Drawer.Shelf);
            var on = Desk.Jobs.Worked(0, worn);
            if (seed % 10 == 0)
            {
                plated++;
                on = await Desk.Pressing.CheckBeside(Desk.Bench.Begin($"Job {seed}", worn, "test", $"job-{seed}"));
            }
            string at(string what) => $"{seed} {livery.Id} {job.Ticket.Binding} {job.Ticket.House.Id} " +
                $"{job.Ticket.Trim.Show(Unit.Millimetre)}: {what}";
            var laid = on.Job.Wraps.SelectMany(w => w.Take.Items).Select(i => i.Id).ToHashSet();
            faults.AddRange(on.Findings
                .Where(f => f.Severity is Severity.Stop or Severity.Caution && (f.Item is null
                    ? new[] { "paper", "zone", "bleed", "ink", "ground" }.Any(k => f.Id.StartsWith(k, StringComparison.Ordinal))
                    : laid.Contains(f.Item)))
                .Select(f => at($"{f.Id} {f.Item} {f.Measured}")));
            foreach (var sheet in on.Sheets)
            {
                over.AddRange(Overlaps(on.Job, sheet).Select(at));
                empty.AddRange(Bare(on.Job, sheet).Select(at));
            }
        }
        output.WriteLine($"{many} tickets: {fitted} composed, {plated} with their plates, {tight.Count} without room; " +
            $"{faults.Count} stops and cautions, {over.Count} words over words, {empty.Count} empty panels");
        foreach (var line in tight.Take(40)) output.WriteLine(line);
        string.Join('\n', faults.Concat(over).Concat(empty)).ShouldBeEmpty();
        // Most tickets that a printer can make are within the capacity.
        tight.Count.ShouldBeLessThan(Math.Max(3, (fitted + tight.Count) / 10), string.Join('\n', tight));
        fitted.ShouldBeGreaterThan(many / 2);
    }

    /// <summary>Texts whose letters meet those of another.</summary>
    private static IEnumerable<string> Overlaps(Job job, ComposedSheet sheet)
    {
        var texts = job.Wraps[sheet.On.Wrap].Take.Items.OfType<TextItem>()
            .Select(t => (t.Id, Box: sheet.Scene.Item(t.Id)?.Inked)).Where(t => t.Box is { IsEmpty: false }).ToList();
        return texts.SelectMany((a, n) => texts.Skip(n + 1).Where(b =>
            Math.Min(a.Box!.Value.Right, b.Box!.Value.Right) - Math.Max(a.Box.Value.Left, b.Box.Value.Left) > 0.5
            && Math.Min(a.Box.Value.Bottom, b.Box.Value.Bottom) - Math.Max(a.Box.Value.Top, b.Box.Value.Top) > 0.5)
            .Select(b => $"{a.Id} over {b.Id}"));
    }

    /// <summary>Panels of which more than six tenths of the safe box are one empty rectangle, where no paper lies.</summary>
    private static IEnumerable<string> Bare(Job job, ComposedSheet sheet)
    {
        const int cells = 40;
        var take = job.Wraps[sheet.On.Wrap].Take;
        var drawn = take.Ground.Pattern is not null || take.Items.Any(i => i is VistaItem);
        foreach (var panel in sheet.Sheet.Panels.Where(p => p.Part is Part.Front or Part.Back))
        {
            var safe = panel.Safe;
            var full = new bool[cells, cells];
            void mark(Box box, bool is_)
            {
                for (var y = 0; y < cells; y++)
                    for (var x = 0; x < cells; x++)
                    {
                        var (px, py) = (safe.X.Points + ((x + 0.5) / cells * safe.Width.Points),
                            safe.Y.Points + ((y + 0.5) / cells * safe.Height.Points));
                        if (px > box.X.Points && px < box.Right.Points && py > box.Y.Points && py < box.Bottom.Points)
                            full[x, y] = is_;
                    }
            }
            // Where a paper lies nothing is empty; a field over it is, until something stands on it.
            if (drawn) mark(safe, true);
            foreach (var item in take.Items)
                if (sheet.Scene.Item(item.Id) is { Inked: { IsEmpty: false } inked })
                    mark(inked.ToBox(), item is not RectItem || inked.Bottom - inked.Top < 4);
            if (Largest(full, cells) is var bare && bare > 0.6) yield return $"{panel.Part} {bare:P0} empty";
        }
    }

    /// <summary>The largest empty rectangle, as a share of all cells.</summary>
    private static double Largest(bool[,] full, int cells)
    {
        var (high, most) = (new int[cells], 0);
        for (var y = 0; y < cells; y++)
        {
            for (var x = 0; x < cells; x++) high[x] = full[x, y] ? 0 : high[x] + 1;
            for (var x = 0; x < cells; x++)
                for (var (k, least) = (x, int.MaxValue); k < cells; k++)
                {
                    least = Math.Min(least, high[k]);
                    if (least == 0) break;
                    most = Math.Max(most, least * (k - x + 1));
                }
        }
        return most / (double)(cells * cells);
    }
}
