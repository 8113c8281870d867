using Lumbeck.Press.Faces;
using Lumbeck.Store;

namespace Lumbeck.Desk.Assets;

/// <summary>
/// Makers' own faces: taken in when they can be set and pressed, and put on the shelf beside those that ship.
/// </summary>
public sealed class FaceDesk
{
    private readonly OwnFaces _rows;
    private readonly FileShelf _files;
    private readonly FaceShelf _shelf;

    internal FaceDesk(JobStore store, FaceShelf shelf)
    {
        (_rows, _shelf) = (new(store), shelf);
        _files = new(Path.Combine(store.Folder, "faces"));
        foreach (var row in _rows.All())
            if (FaceId.TryParse(row.Id, out var id) && File.Exists(_files.PathOf(row.Hash)))
                shelf.Put(id, row.Name, _files.PathOf(row.Hash));
        shelf.Elsewhere = face => Own(face) is { } row && File.Exists(_files.PathOf(row.Hash))
            ? (row.Name, _files.PathOf(row.Hash))
            : null;
    }

    public IReadOnlyList<FaceRow> All() => _rows.All();

    public string PathOf(string hash) => _files.PathOf(hash);

    public void Say(string hash, string? licence) => _rows.Say(hash, Named.Clean(licence));

    /// <summary>Whether a face came from a maker, and is packed with a job.</summary>
    public FaceRow? Own(FaceId face) => All().FirstOrDefault(r => r.Id == face.ToString());

    /// <summary>Takes a face in; one that is here already is given back as it is.</summary>
    /// <exception cref="Refusal">It is none that can be set; why is said.</exception>
    public FaceRow TakeIn(byte[] bytes, string name)
    {
        var called = Named.Clean(Path.GetFileName(name.Replace('\\', '/')));
        if (called.Length == 0) called = "This file";
        if (called.Length > 80) called = called[..80];
        var looked = FaceReading.Read(bytes, called);
        var (hash, length) = _files.Keep(s => s.Write(bytes));
        if (_rows.Find(hash) is { } known)
        {
            // Its file may have been gone, and is back.
            if (FaceId.TryParse(known.Id, out var again)) _shelf.Put(again, known.Name, _files.PathOf(hash));
            return known;
        }
        // A family of the maker's own never takes the place of one that ships.
        var family = string.Concat(looked.Family.ToLowerInvariant()
            .Select(c => char.IsAsciiLetterLower(c) || char.IsAsciiDigit(c) ? c : '-'));
        family = string.Join('-', family.Split('-', StringSplitOptions.RemoveEmptyEntries));
        var id = new FaceId($"own-{(family.Length > 40 ? family[..40] : family)}-{hash[..6]}", looked.Weight,
            looked.Italic);
        var row = new FaceRow
        {
            Hash = hash,
            Id = id.ToString(),
            Name = Named.Clean(looked.Family) + FaceShelf.Weight(looked.Weight) + (looked.Italic ? " Italic" : ""),
            File = called,
            Bytes = length,
        };
        _rows.Add(row);
        _shelf.Put(id, row.Name, _files.PathOf(hash));
        return _rows.Find(hash) ?? row;
    }

    private static class Named
    {
        public static string Clean(string? text) =>
            string.Concat((text ?? "").Where(c => !char.IsControl(c))).Trim() is { Length: <= 300 } t ? t : "";
    }
}
