using Lumbeck.Store;

namespace Lumbeck.Desk.Houses;

/// <summary>A house that jobs can take: one that ships and stays as it is, or one of the maker's own.</summary>
public sealed record KnownHouse(House House, bool Ships, long Tick, bool Back = false, bool Forward = false);

/// <summary>What a change of its house's rules would do to a job that still has the old ones.</summary>
/// <param name="Now">The rules as they are now.</param>
/// <param name="Keys">The keys that differ: label, what the job has, what the house says now.</param>
/// <param name="Would">The job with the new rules; null where they make no sheet of it.</param>
/// <param name="Refused">Why they make none.</param>
public sealed record HouseNews(House Now, IReadOnlyList<(string Label, string Was, string Is)> Keys, Composed? Would,
    string? Refused);

/// <summary>Houses: those that ship, and copies to change.</summary>
public sealed class HouseDesk
{
    private readonly JobDesk _jobs;
    private readonly HouseShelf _rows;

    internal HouseDesk(JobDesk jobs) => (_jobs, _rows) = (jobs, new(jobs.Store));

    /// <summary>How many houses of a maker’s own are kept.</summary>
    private const int Most = 200;

    /// <summary>All houses, those that ship first.</summary>
    public IReadOnlyList<KnownHouse> All() =>
        [.. HouseFile.Shipped.Values.Select(h => new KnownHouse(h, true, 0)),
            .. _rows.All().Where(r => r.State is not null).Select(Sound).OfType<KnownHouse>()];

    /// <summary>Houses of which what is stored can't be read, by id, with why.</summary>
    public IReadOnlyList<(string Id, string Problem)> Spoilt() =>
    [
        .. _rows.All().Where(r => r.State is not null).Select(r => (r.House, Attempt.Of(() => HouseOf(r)).Why))
            .Where(h => h.Why is not null).Select(h => (h.House, h.Why!.Message)),
    ];

    /// <summary>
    /// A house of the maker's own; null where it can't be read, which keeps no other from being shown.
    /// </summary>
    private KnownHouse? Sound(HouseRow row) => Attempt.OrNull(() => Known(row));

    /// <summary>Houses put away, by id and name.</summary>
    public IReadOnlyList<string> Away() =>
        [.. _rows.All().Where(r => r.State is null).Select(r => r.House)];

    /// <summary>The house of this id or name, or null.</summary>
    public KnownHouse? Find(string idOrName) =>
        All().FirstOrDefault(k => k.House.Id == idOrName)
            ?? All().FirstOrDefault(k => k.House.Name.Equals(idOrName.Trim(), StringComparison.OrdinalIgnoreCase));

    /// <exception cref="Refusal">There is no such house.</exception>
    public KnownHouse Get(string idOrName) => Find(idOrName)
        ?? throw new Refusal("ticket/house",
            $"no printer is called `{LengthText.Clip(idOrName)}`: pick {string.Join(", ", All().Select(k => k.House.Name))}");

    /// <summary>The house as it was at a tick.</summary>
    public KnownHouse At(KnownHouse now, long tick) =>
        now.Ships || _rows.At(now.House.Id, tick) is not { State: not null } row ? now : Known(row);

    /// <summary>Copies a house, to be changed.</summary>
    public KnownHouse Copy(string id)
    {
        var original = Get(id).House;
        return Keep(original with { Name = FreeName(original.Name + ", own rules") }, "copied");
    }

    /// <summary>Takes a house file in, under an id and name of its own where another has them.</summary>
    /// <exception cref="Refusal">It is no house file; the key is named.</exception>
    public KnownHouse Import(string json)
    {
        var house = HouseFile.Read(json);
        if (house.Name.Length == 0) throw new Refusal("name", "this printer has no name: give its `name`");
        return Keep(house with { Name = FreeName(house.Name) }, "brought in");
    }

    /// <summary>Changes one figure of a house of the maker's own.</summary>
    /// <exception cref="Refusal">It can't be so, or the house is one that ships; the key is named.</exception>
    public KnownHouse Edit(string id, string editId, string keyName, string text)
    {
        var key = HouseKeys.Find(keyName) ?? throw new Refusal(keyName, $"a printer has no `{LengthText.Clip(keyName)}`");
        if (key.Name == "id" || Get(id).Ships)
            throw new Refusal(keyName,
                $"{Get(id).House.Name} ships with Lumbeck and stays as it is: copy it, and change the copy");
        _rows.Change(id, editId, row =>
        {
            if (row?.State is null)
                throw new Refusal("house", "this printer was put away in the meantime: take it out again");
            var now = HouseOf(row);
            var next = HouseText.Write(key, now, text);
            if (key.Name == "name") Named(next);
            if (key.Name == "profile" && _jobs.Drawer.Profiles.Names().All(p => p.Name != next.Profile))
                next = next with
                {
                    Profile = _jobs.Drawer.Profiles.Names()
                        .FirstOrDefault(p => p.Says.Equals(next.Profile.Trim(), StringComparison.OrdinalIgnoreCase))
                        .Name
                        ?? throw new Refusal("profile",
                            $"no profile is called `{LengthText.Clip(next.Profile)}`: take " +
                                $"{string.Join(", ", _jobs.Drawer.Profiles.Names().Select(p => p.Name))}, or bring " +
                                $"the printer’s own into the Drawer"),
                };
            return HouseFile.Write(next) == HouseFile.Write(now) ? null : (HouseFile.Write(next), key.Label);
        });
        return Get(id);
    }

    /// <summary>Steps a house of the maker's own back or forward; once for each asking.</summary>
    public KnownHouse Step(string id, bool forward, string? asked = null)
    {
        if (!Get(id).Ships) _rows.Step(id, forward, asked);
        return Get(id);
    }

    /// <summary>Puts a house of the maker's own away; jobs that have its rules keep them.</summary>
    public void PutAway(string id)
    {
        if (Get(id).Ships) throw new Refusal("house", $"{Get(id).House.Name} ships with Lumbeck and stays");
        _rows.Change(id, null, _ => (null, "put away"));
    }

    /// <summary>Takes a house out again that was put away.</summary>
    public void TakeOut(string id) => _rows.Change(id, null, row =>
        row is { State: null } && _rows.At(id, row.Tick - 1)?.State is { } last ? (last, "taken out again") : null);

    /// <summary>What has changed in a job's house since the job took its rules; null where nothing has.</summary>
    public HouseNews? News(Job job)
    {
        var old = job.Ticket.House;
        if (!HasNews(job)) return null;
        var now = Get(old.Id).House;
        var keys = HouseKeys.All.Where(k => HouseText.Show(k, old) != HouseText.Show(k, now))
            .Select(k => (k.Label, HouseText.Show(k, old), HouseText.Show(k, now))).ToList();
        var (would, no) = Attempt.Of(() => _jobs.Worked(0, _jobs.After(job, new SetHouse(now))));
        return new(now, keys, would, no?.Message);
    }

    /// <summary>Whether a job's house has changed since the job took its rules.</summary>
    public bool HasNews(Job job) =>
        Find(job.Ticket.House.Id)?.House is { } now && Written(now) != Written(job.Ticket.House);

    /// <summary>A house's file; jobs of one house share it from edit to edit.</summary>
    private static string Written(House house) => Files.GetValue(house, HouseFile.Write);

    private static readonly System.Runtime.CompilerServices.ConditionalWeakTable<House, string> Files = [];

    private KnownHouse Known(HouseRow row)
    {
        var (back, forward) = _rows.Steps(row.Revision);
        return new(HouseOf(row), false, row.Tick, back, forward);
    }

    /// <summary>A house of the store; what this version does not know of it is told, not refused.</summary>
    private House HouseOf(HouseRow row) =>
        HouseFile.Read(row.State!,
            key =>
                _jobs.Store.Tell($"printer {row.House}: the key `{key}` is not known to this Lumbeck, and is left out"));

    private KnownHouse Keep(House house, string says)
    {
        var taken = _rows.All().Select(r => r.House).Concat(HouseFile.Shipped.Keys).ToHashSet();
        // What is put away does not count.
        if (_rows.All().Count(r => r.State is not null) >= Most)
            throw new Refusal("house", $"{Most} printers of your own are kept: put one away first");
        var wanted = string.Concat(house.Id.ToLowerInvariant()
            .Where(c => char.IsAsciiLetterLower(c) || char.IsAsciiDigit(c) || c == '-'));
        wanted = wanted.Length == 0 ? "house" : wanted[..Math.Min(30, wanted.Length)];
        var id = wanted;
        for (var n = 2; taken.Contains(id); n++) id = string.Create(CultureInfo.InvariantCulture, $"{wanted}-{n}");
        _rows.Change(id, null, _ => (HouseFile.Write(house with { Id = id }), says));
        return Get(id);
    }

    private string FreeName(string wanted)
    {
        var name = wanted;
        for (var n = 2; All().Any(k => k.House.Name.Equals(name, StringComparison.OrdinalIgnoreCase)); n++)
            name = string.Create(CultureInfo.InvariantCulture, $"{wanted} {n}");
        return name;
    }

    private void Named(House house)
    {
        if (house.Name.Length is 0 or > 80) throw new Refusal("name", "a printer needs a name of up to 80 letters");
        if (All()
            .Any(k => k.House.Id != house.Id && k.House.Name.Equals(house.Name, StringComparison.OrdinalIgnoreCase)))
            throw new Refusal("name", $"there is a printer `{house.Name}` already: take another name");
    }
}
