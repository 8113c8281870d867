using System.Collections.Concurrent;
using Lumbeck.Caching;
using System.Text;

namespace Lumbeck.Press.Faces;

/// <summary>
/// The faces that can be set: those that ship (files <c>faces/family/400i.ttf</c> beside the program) and those their
/// makers brought, shaped with HarfBuzz.
/// Faces are opened on first use and kept; safe for several threads.
/// </summary>
public sealed class FaceShelf : IType
{
    private readonly ConcurrentDictionary<FaceId, (string File, string? Name)> _files = new();
    private readonly ConcurrentDictionary<FaceId, Lazy<OpenFace>> _open = new();
    private readonly ByteCache<(FaceId, string, ShapingProperties), ShapedRun> _shaped = new(48_000_000,
        run => 300 + (40 * run.Glyphs.Length));
    private readonly ConcurrentDictionary<(FaceId, ushort), Outline> _outlines = new();
    private readonly ConcurrentDictionary<(FaceId, Rune), FaceId?> _instead = new();
    private volatile FaceId[] _faces = [];

    /// <param name="folder">The folder of families; the shipped one where null.</param>
    public FaceShelf(string? folder = null)
    {
        folder ??= Path.Combine(AppContext.BaseDirectory, "faces");
        foreach (var file in Directory.EnumerateFiles(folder, "*.ttf", SearchOption.AllDirectories))
            if (FaceId.TryParse($"{Path.GetFileName(Path.GetDirectoryName(file))}/{Path.GetFileNameWithoutExtension(file)}",
                out var id))
                _files[id] = (file, null);
        Order();
    }

    public IReadOnlyList<FaceId> Faces => _faces;

    /// <summary>Those that are there on every machine.</summary>
    public IEnumerable<FaceId> Shipped => _faces.Where(f => _files.TryGetValue(f, out var own) && own.Name is null);

    /// <summary>Asked for a face that is not on the shelf: another program may have brought it meanwhile.</summary>
    public Func<FaceId, (string Name, string File)?>? Elsewhere { get; set; }

    private bool Fetched(FaceId face)
    {
        if (Elsewhere?.Invoke(face) is not { } found) return false;
        Put(face, found.Name, found.File);
        return true;
    }

    /// <summary>Puts a face of a maker's own on the shelf.</summary>
    /// <param name="face">What it is called in jobs.</param>
    /// <param name="name">What people call it.</param>
    /// <param name="file">Where it lies; looked over when it was brought.</param>
    public void Put(FaceId face, string name, string file)
    {
        _files[face] = (file, name);
        _open.TryRemove(face, out _);
        _instead.Clear();
        Order();
    }

    private void Order() =>
        _faces = [.. _files.Keys.OrderBy(f => f.Family, StringComparer.Ordinal).ThenBy(f => f.Weight)
            .ThenBy(f => f.Italic)];

    /// <summary>Whether a face is on the shelf.</summary>
    public bool Holds(FaceId face) => _files.ContainsKey(face) || Fetched(face);

    /// <summary>“Cormorant Garamond SemiBold Italic”.</summary>
    public string NameOf(FaceId face)
    {
        if (_files.TryGetValue(face, out var own) && own.Name is { } name) return name;
        var family = string.Join(' ',
            face.Family.Split('-')
                .Select(w =>
                    w is "eb" or "b612" or "dm" or "sc" or "im"
                        ? w.ToUpperInvariant()
                        : w.Length == 0
                        ? w
                        : char.ToUpperInvariant(w[0]) + w[1..]));
        return family + Weight(face.Weight) + (face.Italic ? " Italic" : "");
    }

    /// <summary>A weight from 1 to 1000 as names have it, with a space before it; nothing for the usual one.</summary>
    public static string Weight(int weight) => weight switch
    {
        < 200 => " Thin",
        < 300 => " ExtraLight",
        < 400 => " Light",
        < 500 => "",
        < 600 => " Medium",
        < 700 => " SemiBold",
        < 800 => " Bold",
        < 900 => " ExtraBold",
        _ => " Black",
    };

    /// <summary>What a face is: its letters' proportions, scripts, features and rights.</summary>
    public FaceFacts Facts(FaceId face) => Open(face).Facts;

    public ShapedRun Shape(FaceId face, string text, int from, int length, ShapingProperties how)
    {
        if (length == 0) return new([], how.RightToLeft);
        // Lines and short texts come again and again; a long paragraph changes with every key and would only fill the
        // memory. Joined letters look at their neighbours, so theirs are not kept.
        if (length > 200 || how.Script is "Arab" or "Syrc" or "Mong" or "Nkoo")
            return Open(face).Shape(text, from, length, how);
        var run = _shaped.GetOrAdd((face, text.Substring(from, length), how),
            k => Open(k.Item1).Shape(k.Item2, 0, k.Item2.Length, k.Item3));
        return from == 0 ? run : run with
        {
            Glyphs = [.. run.Glyphs.Select(g => g with { Cluster = g.Cluster + from, At = g.At + from })],
        };
    }

    public FaceMetrics Metrics(FaceId face) => Open(face).Metrics;

    public Outline Glyph(FaceId face, ushort glyph) =>
        _outlines.GetOrAdd((face, glyph), k => Open(k.Item1).Draw(k.Item2));

    public bool Has(FaceId face, Rune letter) => Open(face).Has(letter.Value);

    /// <summary>
    /// The families that stand in for others, the first that has a character: those of one script, then plain ones with
    /// many letters, so that a word of a language that a face lacks is in one other throughout.
    /// </summary>
    private static readonly string[] StandIns = ["frank-ruhl-libre", "amiri", "source-serif-4", "eb-garamond",
        "work-sans", "zen-maru-gothic"];

    public FaceId? Instead(FaceId face, Rune letter) => _instead.GetOrAdd((face, letter), k =>
    {
        // The wanted family's own other weights first, then the stand-ins, then whatever has it.
        var families = StandIns.Prepend(k.Item1.Family).Concat(_faces.Select(f => f.Family)).Distinct();
        foreach (var family in families)
        {
            var nearest = _faces.Where(f => f.Family == family && Has(f, k.Item2))
                .OrderBy(f => f.Italic == k.Item1.Italic ? 0 : 1).ThenBy(f => Math.Abs(f.Weight - k.Item1.Weight))
                .Select(f => (FaceId?)f).FirstOrDefault();
            if (nearest is not null) return nearest;
        }
        return null;
    });

    /// <summary>A face's file.</summary>
    /// <exception cref="Refusal">No such face is on the shelf.</exception>
    internal byte[] FileOf(FaceId face)
    {
        _ = Open(face);
        return File.ReadAllBytes(_files[face].File);
    }

    /// <summary>The opened face.</summary>
    /// <exception cref="Refusal">No such face is on the shelf.</exception>
    internal OpenFace Open(FaceId face)
    {
        var opening = _open.GetOrAdd(face, id => new(() => Opened(id)));
        try { return opening.Value; }
        catch
        {
            // What failed is tried again when it is asked for next: its file may have come by then.
            _open.TryRemove(new(face, opening));
            throw;
        }
    }

    private OpenFace Opened(FaceId id)
    {
        if (!_files.TryGetValue(id, out var file) && !(Fetched(id) && _files.TryGetValue(id, out file)))
            throw new Refusal("face",
                $"no face is called `{id}`: pick one from the list, or bring its file into the drawer");
        try { return new(id, NameOf(id), File.ReadAllBytes(file.File)); }
        catch (IOException)
        {
            throw new Refusal("face",
                $"the file of {NameOf(id)} is missing from the data folder: bring it into the drawer again");
        }
    }
}
