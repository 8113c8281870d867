using System.Collections.Concurrent;
using Lumbeck.Press.Colour;
using Lumbeck.Press.Drawn;
using Lumbeck.Press.Faces;
using Lumbeck.Press.Growing;
using Lumbeck.Press.Pictures;
using Lumbeck.Store;

namespace Lumbeck.Desk.Assets;

/// <summary>
/// The drawer's pictures: taken in, kept untouched under the hash of their files, and made ready for the screen.
/// </summary>
public sealed class PictureDesk : IPictureFiles
{
    private readonly PictureShelf _rows;
    private readonly FileShelf _files;
    private readonly string _previews;
    private readonly FaceShelf _shelf;
    private readonly ConcurrentDictionary<string, Lazy<byte[]>> _making = new();

    internal PictureDesk(JobStore store, FaceShelf shelf)
    {
        (_shelf, _rows) = (shelf, new(store));
        _files = new(Path.Combine(store.Folder, "pictures"));
        _previews = Directory.CreateDirectory(Path.Combine(store.Folder, "previews")).FullName;
        Grown = new(this, Path.Combine(store.Folder, "grown"));
    }

    /// <summary>Pictures grown beyond their edges.</summary>
    public GrownDesk Grown { get; }

    /// <summary>Widths, in pixels, that previews are made in.</summary>
    public static IReadOnlyList<int> Widths { get; } = [320, 1600];

    public IReadOnlyList<PictureRow> All() => _rows.All();

    public bool Has(string hash) => _rows.Find(hash) is not null;

    /// <summary>A kept picture as covers show it; null where it is not here.</summary>
    public Picture? Kept(string hash) => Find(hash) is not { } row ? null
        : new(row.Hash, row.Name, (int)row.Wide, (int)row.High, row.Opaque)
        {
            Space = Enum.TryParse<PictureSpace>(row.Space, out var space) ? space : PictureSpace.Rgb,
            Profile = row.Profile,
            IsDrawing = row.Drawn,
        };

    public PictureRow? Find(string hash) => _rows.Find(hash);

    public string PathOf(string hash) => _files.PathOf(hash);

    /// <summary>Why a picture can't be printed; null where its file is there and whole.</summary>
    public string? Fault(string hash) =>
        _files.IsSound(hash) ? null
        : File.Exists(PathOf(hash)) ? "its file is damaged"
        : "its file is missing from the data folder";

    /// <summary>The press-ready page that a picture shows, by the hash of its file; null where it is pixels alone.</summary>
    public string? PageHash(string hash) => _rows.Find(hash) is { Page.Length: > 0 } row ? row.Page : null;

    public string? PageOf(string hash) => PageHash(hash) is { } page && File.Exists(PathOf(page)) ? PathOf(page) : null;

    /// <summary>Keeps the press-ready page that a picture shows; its marks are pressed in place of the pixels.</summary>
    /// <param name="hash">The picture.</param>
    /// <param name="file">The page.</param>
    /// <param name="known">The hash that it must have; null where nobody knows it yet.</param>
    /// <exception cref="Refusal">It is another page.</exception>
    public void Shows(string hash, Stream file, string? known = null)
    {
        var (page, _) = _files.Keep(file.CopyTo);
        if (known is not null && page != known)
        {
            if (_rows.All().All(r => r.Page != page && r.Hash != page)) _files.Drop(page);
            throw new Refusal("picture", "the page of a picture is not the one its job means");
        }
        _rows.Shows(hash, page);
    }

    public string GrownOf(GrownMark mark, int wide) => Grown.PathOf(mark, wide);

    /// <summary>Something was said of a picture, which Check looks at.</summary>
    public event Action? Stated;

    /// <summary>Notes where a picture is from and what is allowed with it.</summary>
    /// <exception cref="Refusal">A word is too long.</exception>
    public void Say(string hash, string? source, string? maker, string? licence)
    {
        string[] words = [.. ((string?[])[source, maker, licence])
            .Select(w => string.Concat((w ?? "").Select(c => char.IsControl(c) ? ' ' : c)).Trim())];
        if (words.FirstOrDefault(w => w.Length > 300) is { } long_)
            throw new Refusal("picture", $"{long_.Length} letters are more than is kept of a picture: up to 300");
        _rows.Say(hash, words[0], words[1], words[2]);
        Stated?.Invoke();
    }

    /// <summary>The jobs that use a picture in any step.</summary>
    public IReadOnlyList<JobRow> Uses(string hash) => _rows.Uses(hash);

    /// <summary>Takes a picture out of the drawer.</summary>
    /// <exception cref="Refusal">A step of some job uses it; the jobs are named.</exception>
    public void Remove(string hash)
    {
        var page = PageHash(hash);
        if (_rows.Remove(hash))
        {
            _files.Drop(hash);
            if (page is not null && _rows.All().All(r => r.Page != page)) _files.Drop(page);
            return;
        }
        var uses = _rows.Uses(hash);
        if (uses.Count > 0)
            throw new Refusal("picture",
                $"it is used by {string.Join(", ", uses.Select(j => j.Slug))}, if only in an earlier step: it stays, " +
                    $"so that stepping back never loses it");
    }

    /// <summary>The pictures a job shows now, with what is said of them, as a note to print.</summary>
    public string Credits(Job job)
    {
        var lines = job.PicturesShown.Select(p => _rows.Find(p.Hash) is { } row
            ? $"{row.Name}: {string.Join(", ", ((string[])[
                row.Maker.Length > 0 ? "by " + row.Maker : "maker not stated",
                row.Source.Length > 0 ? "from " + row.Source : "source not stated",
                row.Licence.Length > 0 ? row.Licence : "licence not stated"]))}"
            : $"{p.Name}: not in this drawer");
        var drawn = DrawnArt.On(job).Select(a =>
            $"{a.Kind}: drawn from seed {a.Seed}, version {a.Version} of its drawing").Distinct();
        lines = lines.Concat(drawn);
        return $"Pictures on the cover of {(job.Ticket.Title.Length > 0 ? job.Ticket.Title : "an untitled book")}" +
            $"\n\n{(!lines.Any() ? "None." : string.Join('\n', lines))}\n";
    }

    /// <summary>Takes a picture in.</summary>
    /// <exception cref="Refusal">It is no picture that can be printed, damaged or too large.</exception>
    public async Task<Picture> TakeIn(Stream upload, string name, CancellationToken cancel)
    {
        var aside = Path.Combine(Directory.CreateDirectory(Path.Combine(_previews, "incoming")).FullName,
            Guid.NewGuid().ToString("n"));
        var called = Named(name);
        try
        {
            long bytes = 0;
            await using (var f = new FileStream(aside, FileMode.CreateNew))
            {
                var buffer = new byte[1 << 16];
                for (int read; (read = await upload.ReadAsync(buffer, cancel)) > 0;)
                {
                    bytes += read;
                    if (bytes > PictureReading.MostBytes)
                        throw new Refusal("picture",
                            $"{called} is over {PictureReading.MostBytes / 1_000_000} MB: save it smaller");
                    await f.WriteAsync(buffer.AsMemory(0, read), cancel);
                }
            }
            // Looked at before it is kept: what can't be printed never comes into the drawer.
            var picture = await Task.Run(() => Look(aside, called, cancel), cancel);
            var (hash, _) = _files.Keep(s => { using var f = File.OpenRead(aside); f.CopyTo(s); });
            return Kept(picture, hash, bytes);
        }
        finally { File.Delete(aside); }
    }

    /// <summary>Lays a picture of our own in the drawer, as it is known to be.</summary>
    internal Picture Lay(string path, Picture known, string source)
    {
        var (hash, bytes) = _files.Keep(s => { using var f = File.OpenRead(path); f.CopyTo(s); });
        Kept(known, hash, bytes);
        Say(hash, source, "Skerry & Vane", "for any use");
        return known with { Hash = hash };
    }

    private Picture Kept(Picture picture, string hash, long bytes)
    {
        _rows.Add(new()
        {
            Hash = hash,
            Name = picture.Name,
            Wide = picture.Wide,
            High = picture.High,
            Opaque = picture.Opaque,
            Bytes = bytes,
            Space = picture.Space.ToString(),
            Profile = picture.Profile,
            Drawn = picture.IsDrawing
        });
        return picture with { Hash = hash };
    }

    /// <summary>Lays a picture that was made here in the drawer; the same one again is the same picture.</summary>
    internal Picture Lay(byte[] png, string name, string source)
    {
        var aside = Path.Combine(Directory.CreateDirectory(Path.Combine(_previews, "incoming")).FullName,
            Guid.NewGuid().ToString("n"));
        try
        {
            File.WriteAllBytes(aside, png);
            var known = Look(aside, name, default);
            var (hash, bytes) = _files.Keep(s => s.Write(png));
            if (Kept(hash) is { } there) return there;
            Kept(known, hash, bytes);
            Say(hash, source, "", "the book’s own");
            return known with { Hash = hash };
        }
        finally { File.Delete(aside); }
    }

    /// <summary>The faces that a drawing's words are set in, where it asks for others.</summary>
    public IReadOnlyList<(string Asked, string Face)> FacesOf(string hash) =>
        Find(hash) is not { Drawn: true } row ? [] : [.. SvgReading.Read(File.ReadAllBytes(PathOf(hash)), row.Name,
            _ => Ink.Black, _shelf).Faces.Select(f => (f.Asked, _shelf.NameOf(f.Face)))];

    private Picture Look(string path, string called, CancellationToken cancel)
    {
        var head = new byte[256];
        int read;
        using (var f = File.OpenRead(path)) read = f.ReadAtLeast(head, head.Length, throwOnEndOfStream: false);
        if (!SvgReading.Looks(head.AsSpan(0, read))) return PictureReading.Of(path, called, "");
        if (new FileInfo(path).Length > SvgReading.MostBytes) throw new Refusal("picture",
            $"{called} is over {SvgReading.MostBytes / 1_000_000} MB of drawing: simplify it, or save it as a PNG");
        var drawing = SvgReading.Read(File.ReadAllBytes(path), called, _ => Ink.Black, _shelf, cancel);
        return new("", called, drawing.Wide, drawing.High, false) { IsDrawing = true };
    }

    /// <summary>
    /// A picture as the press shows it, at one of <see cref="Widths"/>, in black alone where that is all it prints; made
    /// once and kept.
    /// </summary>
    /// <exception cref="FileNotFoundException">There is no such picture.</exception>
    public byte[] Preview(string hash, int wide, PrintingCondition condition, bool convert = false,
        BlackAlone? black = null)
    {
        var file = PathOf(hash);
        if (!Widths.Contains(wide) || !File.Exists(file)) throw new FileNotFoundException("No such picture.");
        var through = $"{condition.Intent}{(convert ? "-converted" : "")}{(black is null ? "" : "-black")}";
        return Kept($"{hash}-{wide}-{Path.GetFileName(condition.Profile)}-{through}-2.webp",
            () => PictureMaking.ForScreen(file, wide, condition, convert, black));
    }

    /// <summary>A grown picture as the press shows it, at preview size; made once and kept.</summary>
    /// <exception cref="FileNotFoundException">There is no such picture.</exception>
    public byte[] GrownPreview(Grown how, int wide, PrintingCondition condition, bool convert)
    {
        if (!File.Exists(PathOf(how.Hash))) throw new FileNotFoundException("No such picture.");
        var through = $"{Path.GetFileName(condition.Profile)}-{condition.Intent}{(convert ? "-converted" : "")}";
        return Kept($"grown-{GrownDesk.Key(how, wide)}-{through}.webp",
            () => PictureMaking.ForScreen(Grown.Preview(how, wide), Grower.PreviewWide,
            condition, convert));
    }

    /// <summary>How much of an RGB picture the house's press can't show, from 0 to 1, and where.</summary>
    public (double Share, byte[] Where) Gamut(string hash, PrintingCondition condition)
    {
        var name = $"gamut-{hash}-{Path.GetFileName(condition.Profile)}-{condition.Intent}-1";
        var figure = Path.Combine(_previews, name + ".txt");
        var picture = Kept(name + ".webp", () =>
        {
            var (share, where) = PictureLooks.Gamut(PathOf(hash), condition);
            File.WriteAllText(figure, share.ToString("0.####", CultureInfo.InvariantCulture));
            return where;
        });
        return (double.TryParse(File.ReadAllText(figure), CultureInfo.InvariantCulture, out var known) ? known : 0,
            picture);
    }

    /// <summary>The colours a picture is made of.</summary>
    /// <exception cref="Refusal">There is no such picture, or it is drawn.</exception>
    public IReadOnlyList<AskedRgb> Palette(string hash, PrintingCondition condition) => Find(hash) is { Drawn: false }
        ? PictureLooks.Palette(PathOf(hash), condition, 6)
        : throw new Refusal("picture", "colours can be taken from a picture of pixels that is in the drawer");

    private byte[] Kept(string key, Func<byte[]> make)
    {
        var kept = Path.Combine(_previews, key);
        if (File.Exists(kept)) return File.ReadAllBytes(kept);
        try
        {
            return _making.GetOrAdd(key, _ => new(() =>
            {
                var made = make();
                var aside = kept + "." + Guid.NewGuid().ToString("n");
                File.WriteAllBytes(aside, made);
                File.Move(aside, kept, overwrite: true);
                return made;
            })).Value;
        }
        finally { _making.TryRemove(key, out _); }
    }

    private static string Named(string name)
    {
        var plain = string.Concat(Path.GetFileName(name.Replace('\\', '/')).Where(c => !char.IsControl(c))).Trim();
        return plain.Length == 0 ? "the picture" : plain.Length <= 60 ? plain : plain[..59] + "…";
    }
}
