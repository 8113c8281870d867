using Lumbeck.Press.Colour;
using Lumbeck.Store;
using NetVips;

namespace Lumbeck.Desk.Assets;

/// <summary>
/// Printers' own profiles: taken in when they are what they say, and known by a name that says what is in them.
/// </summary>
public sealed class ProfileDesk
{
    private readonly ProfileShelf _rows;
    private readonly FileShelf _files;

    internal ProfileDesk(JobStore store)
    {
        _rows = new(store);
        _files = new(Path.Combine(store.Folder, "profiles"));
        foreach (var row in _rows.All()) Profiles.Know(NameOf(row.Hash), _files.PathOf(row.Hash));
    }

    /// <summary>Makes a profile known that another program brought.</summary>
    internal void Learn(string name)
    {
        if (!name.StartsWith("own-", StringComparison.Ordinal) || Profiles.Has(name)) return;
        foreach (var row in _rows.All()) Profiles.Know(NameOf(row.Hash), _files.PathOf(row.Hash));
    }

    /// <summary>Whether a house can name this profile.</summary>
    public bool Has(string name)
    {
        Learn(name);
        return !name.StartsWith("own-", StringComparison.Ordinal) || Profiles.Has(name);
    }

    /// <summary>The name that a house gives as its profile.</summary>
    public static string NameOf(string hash) => "own-" + hash[..16];

    public IReadOnlyList<ProfileRow> All() => _rows.All();

    /// <summary>The profiles a house can name, with what each is: those that ship, then printers' own.</summary>
    public IReadOnlyList<(string Name, string Says)> Names() =>
        [("coated-fogra39-300", "coated, FOGRA39, 300 % of ink"),
            ("FOGRA39L_coated", "coated, FOGRA39, from the registry"), .. All().Select(p => (NameOf(p.Hash), p.Says))];

    /// <summary>Takes a profile in.</summary>
    /// <exception cref="Refusal">It is none, or none for printing in four inks.</exception>
    public ProfileRow TakeIn(byte[] bytes, string name)
    {
        var called = Path.GetFileName(name.Replace('\\', '/'));
        if (bytes.Length > IccProfile.MostBytes) throw No($"{called} is over {IccProfile.MostBytes / 1_000_000} MB");
        var profile = IccProfile.Read(bytes) ?? throw No($"{called} is no colour profile, or is not whole");
        if (profile.Class != "prtr")
            throw No($"{called} is of the class `{profile.Class}`: a printer’s output profile (`prtr`) is wanted");
        if (profile.Space != "CMYK") throw No($"{called} is for {profile.Space}: one for CMYK is wanted");
        if (!profile.BothWays) throw No($"{called} has not both its tables, from inks to colours and back");
        var (hash, length) = _files.Keep(s => s.Write(bytes));
        try
        {
            // It is tried both ways, so that a file that only looks like one is found now and not at the press.
            Profiles.Know(NameOf(hash), _files.PathOf(hash));
            var colour = new PressColour(new(NameOf(hash)));
            _ = colour.Mix(new AskedRgb(120, 60, 30));
            var (paper, black) = (colour.Lab(Ink.White), colour.Lab(Ink.Black));
            if (paper.L < 80 || black.L > paper.L - 30) throw No($"{called} says that bare paper has a lightness of " +
                $"{paper.L:0} and black of {black.L:0}, which no press has");
        }
        catch (VipsException) { _files.Drop(hash); throw No($"{called} can’t be used: its tables are damaged"); }
        catch (Refusal) { _files.Drop(hash); throw; }
        var row = new ProfileRow
        {
            Hash = hash,
            Name = called.Length <= 80 ? called : called[..80],
            Says = profile.Description.Length > 0 ? profile.Description : called,
            Bytes = length,
        };
        _rows.Add(row);
        return row;
    }

    private static Refusal No(string why) => new("profile", why);
}
