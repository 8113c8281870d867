namespace Lumbeck.Core.Document;

/// <summary>One book: its ticket, its swatches and the pieces that are printed for it.</summary>
public sealed record Job(Ticket Ticket, ImmutableList<Swatch> Swatches, ImmutableList<Wrap> Wraps)
{
    /// <summary>Items that want a look since the sheet last changed.</summary>
    public ImmutableList<ToLookAt> Looks { get; init; } = [];

    /// <summary>Its pages, where they are made here; null where they are made elsewhere.</summary>
    public Inside? Inside { get; init; }

    /// <summary>Whether its pages are made here now, so that they say how many the book has.</summary>
    [System.Text.Json.Serialization.JsonIgnore]
    public bool HasPages => Inside is { PutBy: false, Runs.Count: > 0 };

    /// <summary>The language that its pages speak: their calendars', or the book's.</summary>
    [System.Text.Json.Serialization.JsonIgnore]
    public string PagesLanguage => Inside?.Calendar.Language ?? Ticket.Language;

    /// <summary>The id of the edition whose ticket is on the bench.</summary>
    public string Edition { get; init; } = FirstEdition;

    /// <summary>The tickets of the book's other editions, which share its words, pictures and takes.</summary>
    public ImmutableList<Edition> Editions { get; init; } = [];

    /// <summary>The id of the edition that a job begins with, and most editions of one book.</summary>
    public const string FirstEdition = "first";
    public const int MostEditions = 12;

    /// <summary>Rules this job goes without, each with its reason.</summary>
    public ImmutableList<Waiver> Waivers { get; init; } = [];

    /// <summary>What its wraps are called: the one that carries the front, and the case under a jacket.</summary>
    public const string Cover = "cover", Case = "case";

    /// <summary>
    /// The design of the wrap that carries the front; a jacketed hardcover has a second wrap, the case.
    /// </summary>
    public Take Take => Wraps[0].Take;

    /// <summary>Every item of every wrap, as designed now.</summary>
    [System.Text.Json.Serialization.JsonIgnore]
    public IEnumerable<Item> Items => Wraps.SelectMany(w => w.Take.Items);

    public Item? Item(string id) => Items.FirstOrDefault(i => i.Id == id);

    /// <summary>Every picture that any take or page shows, its ticket has or any wrap is traced from, each once.</summary>
    [System.Text.Json.Serialization.JsonIgnore]
    public IEnumerable<Picture> Pictures =>
        Wraps.SelectMany(w =>
            w.Takes.SelectMany(t => t.Pictures).Concat(w.Tracing is { } t ? [t.Picture] : []))
            .Concat(Ticket.Pictures).Concat(Editions.SelectMany(e => e.Ticket.Pictures))
            .Concat(Inside?.Pictures ?? []).DistinctBy(p => p.Hash);

    /// <summary>Every picture that is seen on its covers now.</summary>
    [System.Text.Json.Serialization.JsonIgnore]
    public IEnumerable<Picture> PicturesShown =>
        Wraps.SelectMany(w =>
            w.Take.Ground.Pictures.Concat(w.Take.Items.Where(i => !i.Hidden).SelectMany(i => i.Pictures)))
            .DistinctBy(p => p.Hash);

    /// <summary>Every face that any take sets words in, each once.</summary>
    [System.Text.Json.Serialization.JsonIgnore]
    public IEnumerable<FaceId> Faces =>
        Wraps.SelectMany(w => w.Takes).SelectMany(t => t.Items).OfType<TextItem>()
            .SelectMany(t => t.Runs.Select(r => r.Style.Face).OfType<FaceId>().Prepend(t.Style.Face))
            .Concat(Inside is { } pages ? [pages.Text, pages.Heads] : []).Distinct();

    /// <summary>The wrap that an item lies on; −1 where it lies on none.</summary>
    public int WrapOf(string id) => Wraps.FindIndex(w => w.Take.Items.Any(i => i.Id == id));

    /// <summary>The arithmetic of the wrap that carries the front.</summary>
    public WrapGeometry Geometry() => WrapGeometry.Of(Ticket.Facts, Ticket.House);

    /// <summary>What is printed: each sheet of each wrap, the one that carries the front first.</summary>
    /// <exception cref="Refusal">The facts make no sheet.</exception>
    public ImmutableArray<PrintedSheet> Sheets()
    {
        var pieces = Binding.Of(Ticket.Binding).Pieces;
        var sheets = ImmutableArray.CreateBuilder<PrintedSheet>();
        for (var wrap = 0; wrap < pieces.Length; wrap++)
        {
            var geometry = WrapGeometry.Of(Ticket.Facts with { Binding = pieces[wrap] }, Ticket.House);
            foreach (var sheet in geometry.Sheets)
            {
                var name = wrap < Wraps.Count ? Wraps[wrap].Name : Case;
                var id = geometry.Sheets.Length > 1 ? $"{name}-{sheet.Panels[0].Part.Word()}" : name;
                sheets.Add(new(sheets.Count, id, wrap,
                    pieces.Length > 1
                        ? pieces[wrap].Word()
                        : geometry.Sheets.Length > 1
                        ? sheet.Panels[0].Part.Say()
                        : "cover",
                    geometry, sheet));
            }
        }
        return sheets.ToImmutable();
    }

    /// <summary>The sheet that an item is printed on: the one that has its panel, or the first of its wrap.</summary>
    public Sheet SheetOf(Item item, int wrap)
    {
        var all = Sheets();
        var own = all.Where(s => s.Wrap == wrap).ToList();
        return (own.FirstOrDefault(s => s.Sheet.Panel(item.Hold.Panel) is not null) ?? own.FirstOrDefault() ?? all[0])
            .Sheet;
    }

    /// <exception cref="Refusal">The item is gone.</exception>
    public Job WithItem(string id, Func<Item, Item> change)
    {
        var wrap = WrapOf(id);
        if (wrap < 0) throw Gone(id);
        var take = Wraps[wrap].Take;
        var item = take.Items.First(i => i.Id == id);
        return With(wrap, take with { Items = take.Items.Replace(item, change(item)) });
    }

    public Job With(int wrap, Take take) => this with { Wraps = Wraps.SetItem(wrap, Wraps[wrap].With(take)) };

    /// <summary>
    /// The same job with a wrap for each piece its binding prints. A wrap that a binding has no use for is kept, and
    /// comes back with the next that has.
    /// </summary>
    public Job WithPieces()
    {
        var job = this;
        while (job.Wraps.Count < Binding.Of(Ticket.Binding).Pieces.Length)
            job = job with { Wraps = job.Wraps.Add(Wrap.First(Case, new Fill(Take.Ground.Paint))) };
        return job;
    }

    /// <summary>
    /// The same job with its ticket's pages counted from its runs, where those are made here: nothing is typed twice.
    /// </summary>
    /// <param name="before">What it was; pages that were typed since hold, as a fixed count.</param>
    /// <exception cref="Refusal">The runs are more than a volume has.</exception>
    public Job WithPagesCounted(Job before)
    {
        if (!HasPages) return this;
        var inside = Inside!;
        if (ReferenceEquals(inside, before.Inside) && Ticket.Pages != before.Ticket.Pages)
            inside = inside with { Fixed = Ticket.Pages };
        else if (ReferenceEquals(inside, before.Inside) && ReferenceEquals(Ticket, before.Ticket)) return this;
        var asked = Counted.Of(inside, Ticket.PageMultiple).Asked;
        return this with { Inside = inside, Ticket = asked == Ticket.Pages ? Ticket : Ticket with { Pages = asked } };
    }

    public static Refusal Gone(string id) =>
        new($"item/{id}", "this item was removed in the meantime: undo to have it again");
}

/// <summary>Another making of the same book, with a ticket of its own: a case beside the paperback.</summary>
/// <param name="Id">Its own among the book's.</param>
/// <param name="Name">As people call it.</param>
/// <param name="Ticket">What its printer asks for.</param>
public sealed record Edition(string Id, string Name, Ticket Ticket);

/// <summary>An item that wants a look since the sheet changed under it.</summary>
/// <param name="Item">The item.</param>
/// <param name="Why">What is the matter, in words.</param>
/// <param name="Was">What it covered before, on the sheet as that was.</param>
/// <param name="Is">What it covers now.</param>
public sealed record ToLookAt(string Item, string Why, Box Was, Box Is);

/// <summary>One sheet that is printed for a job.</summary>
/// <param name="Number">Its place among the job's sheets, from 0.</param>
/// <param name="Id">What it goes by in addresses, by its wrap: “cover”, “cover-back”, “case”. It stays when the binding
/// makes the cover a jacket.</param>
/// <param name="Wrap">The wrap whose design it carries.</param>
/// <param name="Name">What people call it: “cover”, “jacket”, “front”.</param>
/// <param name="Geometry">The arithmetic of its wrap.</param>
/// <param name="Sheet">The sheet itself.</param>
public sealed record PrintedSheet(int Number, string Id, int Wrap, string Name, WrapGeometry Geometry, Sheet Sheet);

/// <summary>
/// One printed piece with its alternative designs; one of them is on the bench. A job's wraps are never put in another
/// order.
/// </summary>
/// <param name="Name">What it is: “cover”, “case”.</param>
/// <param name="Takes">Its designs, at least one.</param>
/// <param name="Current">The id of the one on the bench.</param>
public sealed record Wrap(string Name, ImmutableList<Take> Takes, string Current)
{
    /// <summary>A wrap that nothing lies on yet.</summary>
    public static Wrap First(string name, Fill ground) => new(name, [new Take("first", "first", ground, [])], "first");

    /// <summary>
    /// An earlier cover or a sketch that shows faintly under the sheet while it is laid out; it is no part of the cover
    /// and never leaves.
    /// </summary>
    public Tracing? Tracing { get; init; }

    public Take Take => Find(Current) ?? Takes[0];

    public Take? Find(string id) => Takes.Find(t => t.Id == id);

    /// <summary>The same wrap with a take as it is now in place of the one of that id.</summary>
    public Wrap With(Take take) => this with { Takes = Takes.SetItem(Takes.FindIndex(t => t.Id == take.Id), take) };
}

/// <summary>
/// A picture to trace, fitted whole to the sheet, to its trim or to a panel, and how strongly it shows, in percent.
/// </summary>
public sealed record Tracing(Picture Picture, decimal Strength = 35, bool OverTrim = false)
{
    /// <summary>The panel it is fitted to; null for all of the sheet.</summary>
    public Part? Panel { get; init; }

    /// <summary>Where it lies on a sheet.</summary>
    public Box On(Sheet sheet) =>
        (Panel is { } p ? sheet.Panel(p)?.Face : null) ?? (OverTrim ? sheet.Trim : sheet.Whole);
}

/// <summary>A design: what lies under everything, and the items on it from the lowest to the uppermost.</summary>
/// <param name="Id">Its own among its wrap's, whatever it is called.</param>
/// <param name="Name">As people call it.</param>
/// <param name="Ground">What lies under everything, out to the edge of the sheet; without paint where items cover the
/// sheet by themselves.</param>
/// <param name="Items">From the lowest to the uppermost.</param>
public sealed record Take(string Id, string Name, Fill Ground, ImmutableList<Item> Items)
{
    /// <summary>Words, pictures and codes that a livery found no place for; they lie beside the sheet.</summary>
    public ImmutableList<Item>? Unplaced { get; init; }

    /// <summary>The livery that laid it; null for a design by hand.</summary>
    public LiveryOrigin? Worn { get; init; }

    /// <summary>The kept pictures that it shows, hidden ones and those beside the sheet too.</summary>
    [System.Text.Json.Serialization.JsonIgnore]
    public IEnumerable<Picture> Pictures => Ground.Pictures.Concat(Items.Concat(Beside).SelectMany(i => i.Pictures));

    /// <summary>What lies beside the sheet.</summary>
    [System.Text.Json.Serialization.JsonIgnore]
    public ImmutableList<Item> Beside => Unplaced ?? [];
}

/// <summary>What a take was laid by.</summary>
/// <param name="Livery">Its word.</param>
/// <param name="Way">Which of its sets of colours, from 1.</param>
/// <param name="Seed">Of what it draws by chance.</param>
/// <param name="Parts">What it laid, by its own names.</param>
/// <param name="Ground">The ground as it was laid, as a sum.</param>
public sealed record LiveryOrigin(string Livery, int Way, Seed Seed, ImmutableList<string> Parts, string Ground)
{
    [System.Text.Json.Serialization.JsonIgnore]
    public bool IsSound => Livery is { Length: > 0 and <= 40 } && Way is > 0 and < 1000 && Parts is { Count: <= AddMost }
        && Parts.All(p => p is { Length: <= 60 }) && Ground is { Length: <= 64 };

    private const int AddMost = 400;
}
