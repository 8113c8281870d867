using Lumbeck.Store;

namespace Lumbeck.Desk.Looks;

/// <summary>A cover to begin from, as it is offered.</summary>
/// <param name="Id">Its word.</param>
/// <param name="Name">What people read.</param>
/// <param name="Says">Binding, trim and printer.</param>
/// <param name="Own">Whether it was kept from a job here.</param>
public sealed record StarterOffered(string Id, string Name, string Says, bool Own);

/// <summary>
/// Covers to begin from: a ticket without title, people and numbers, and a design with words to replace. Any job can be
/// kept as one; they go out and in as packs.
/// </summary>
public sealed class StarterDesk
{
    /// <summary>Most that can be kept, and most letters of a name.</summary>
    public const int Most = 200, LongestName = 60;

    private readonly JobDesk _jobs;
    private readonly LookShelf _shelf;
    private readonly HouseDesk _houses;

    internal StarterDesk(JobDesk jobs) => (_jobs, _shelf, _houses) = (jobs, new(jobs.Store, "starter"), new(jobs));

    /// <summary>Every starter, those kept here first.</summary>
    public IReadOnlyList<StarterOffered> All() =>
    [
        .. _shelf.All().Select(r => new StarterOffered(r.Id, r.Name, r.Says, true)),
        .. Shipped(),
    ];

    private IEnumerable<StarterOffered> Shipped()
    {
        var houses = Houses();
        return StarterShelf.All.Select(s => new StarterOffered(s.Id, s.Name, SaysOf(Ticket(s, houses)), false));
    }

    private List<House> Houses() => [.. _houses.All().Select(h => h.House)];

    private static string SaysOf(Ticket t) => $"{t.Binding.Say()}, {t.Trim.Show(t.Unit)}, {t.House.Name}";

    /// <summary>A job to begin from a starter.</summary>
    /// <param name="starter">Its word or name.</param>
    /// <param name="title">The title; empty where there is none yet.</param>
    /// <exception cref="Refusal">There is none of that name.</exception>
    public Job Begun(string starter, string title)
    {
        var job = Find(starter);
        title = Plain.Line(title);
        return title.Length == 0 ? _jobs.Settled(job) : _jobs.After(job, new SetFact(TicketFact.Title, title));
    }

    /// <summary>Keeps a job as a starter.</summary>
    /// <exception cref="Refusal">The name is none, or there are too many.</exception>
    public StarterOffered Keep(Job job, string name)
    {
        name = Plain.Line(name);
        if (name.Length is 0 or > LongestName)
            throw new Refusal("starter", $"a starter needs a name of up to {LongestName} letters");
        var all = All();
        if (all.Count(s => s.Own) >= Most) throw new Refusal("starter", $"{Most} starters are kept: remove one first");
        name = Free.Like(name, n => all.Any(s => s.Name.Equals(n, StringComparison.OrdinalIgnoreCase)));
        var id = Free.Id(Plain.Word(name, 16, "starter"), w => all.Any(s => s.Id == w));
        var blank = Blank(job);
        _shelf.Put(id, name, SaysOf(blank.Ticket), JobJson.Write(blank));
        return new(id, name, SaysOf(blank.Ticket), true);
    }

    /// <summary>A starter as a pack.</summary>
    /// <exception cref="Refusal">There is none of that name, or a picture of it is gone.</exception>
    public void Export(string starter, Stream output)
    {
        var (id, name) = Named(starter);
        var job = Find(starter);
        // A pack says its title: here that is the starter's name.
        Packing.Write(_jobs.Drawer, job with { Ticket = job.Ticket with { Title = name } }, id, output);
    }

    /// <summary>Takes a pack in as a starter.</summary>
    /// <exception cref="Refusal">It is no pack.</exception>
    public async Task<StarterOffered> TakeIn(Stream pack)
    {
        var (job, slug) = await Packing.Read(_jobs, pack);
        return Keep(job, Plain.Line(job.Ticket.Title) is { Length: > 0 } title
            ? title[..Math.Min(title.Length, LongestName)]
            : slug ?? "Starter");
    }

    public void Remove(string id) => _shelf.Remove(id);

    private Job Find(string starter)
    {
        var (id, _) = Named(starter);
        return _shelf.Body(id) is { } body ? JobJson.Read(body) : Made(StarterShelf.All.First(s => s.Id == id));
    }

    private (string Id, string Name) Named(string starter)
    {
        if (_shelf.Find(starter) is { } row) return (row.Id, row.Name);
        foreach (var s in StarterShelf.All)
            if (s.Id == starter || s.Name.Equals(starter, StringComparison.OrdinalIgnoreCase)) return (s.Id, s.Name);
        throw new Refusal("starter", $"`{LengthText.Clip(starter)}` is no starter: take " +
            $"{string.Join(", ", _shelf.All().Select(r => r.Id).Concat(StarterShelf.All.Select(s => s.Id)))}");
    }

    private static Ticket Ticket(StarterShelf.Shipped s, IReadOnlyList<House> houses)
    {
        var house = StarterShelf.HouseOf(s, houses);
        var usual = Starters.Job(house, "").Ticket;
        return usual with
        {
            // The first paper that the house binds so few or so many pages on.
            Paper = house.Papers.FirstOrDefault(p => s.Pages >= (p.PagesLeast ?? 0) && s.Pages <= (p.PagesMost ?? int.MaxValue))
                ?? usual.Paper,
            Unit = s.Name.EndsWith(" in", StringComparison.Ordinal) ? Unit.Inch : Unit.Millimetre,
            Binding = s.Binding,
            Trim = s.Trim,
            Pages = s.Pages,
            Flaps = s.Flaps,
            FlapWidth = s.FlapWidth,
        };
    }

    private Job Made(StarterShelf.Shipped s)
    {
        var ticket = Ticket(s, Houses());
        var job = new Job(ticket with
        {
            Title = Starters.Placeholder(TextRole.Title),
            Author = Starters.Placeholder(TextRole.Author),
            Subtitle = Starters.Placeholder(TextRole.Subtitle),
            Blurb = Starters.Placeholder(TextRole.Blurb),
            Note = ticket.Flaps || ticket.Binding == BindingKind.Jacket ? Starters.Placeholder(TextRole.Note) : "",
        }, [], [Wrap.First(Job.Cover, new Fill(new InkPaint(Ink.White)))]).WithPieces();
        return Blank(_jobs.After(job, Wearing.Of(job, s.Livery, 1, null, "laid", _jobs.Drawer.Shelf).Edit));
    }

    /// <summary>A job without what is one book's own: its words stand there to be replaced.</summary>
    public static Job Blank(Job job) => job with
    {
        Ticket = job.Ticket with
        {
            Title = "",
            Subtitle = "",
            Author = "",
            SpineTitle = "",
            SeriesNumber = "",
            Edition = "",
            Contributors = [],
            Isbn = null,
            Price = null,
            SecondPrice = null,
            Blurb = "",
            Note = "",
            Portrait = null,
            ReviewQuotes = [],
            PrinterSays = "",
            PinnedSpine = null,
            Inside = null,
            Dummy = null,
        },
        Looks = [],
        Waivers = [],
        Inside = null,
        Wraps =
        [
            .. job.Wraps.Select(w => w with
            {
                Tracing = null,
                Takes = [w.Take with { Unplaced = null, Items = [.. w.Take.Items.Select(Replaced)] }],
            }),
        ],
    };

    private static Item Replaced(Item item) => item is TextItem { Role: not (TextRole.Free or TextRole.Imprint) } t
        ? t with { Words = Starters.Placeholder(t.Role), Runs = [], Starter = true }
        : item;
}
