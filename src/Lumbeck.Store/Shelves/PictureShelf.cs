using Dapper;

namespace Lumbeck.Store.Shelves;

/// <summary>A picture of the drawer, with where it is from and what is allowed with it.</summary>
public sealed record PictureRow
{
    public string Hash { get; init; } = "";
    public string Name { get; init; } = "";
    public long Wide { get; init; }
    public long High { get; init; }
    public bool Opaque { get; init; }
    /// <summary>Rgb, Gray or Cmyk.</summary>
    public string Space { get; init; } = "Rgb";
    /// <summary>The condition a CMYK picture was made for; empty where it does not say.</summary>
    public string Profile { get; init; } = "";
    /// <summary>Paths instead of pixels.</summary>
    public bool Drawn { get; init; }
    /// <summary>The press-ready page that it shows, by the hash of its file; empty where it is pixels alone.</summary>
    public string Page { get; init; } = "";
    public long Bytes { get; init; }
    public string Source { get; init; } = "";
    public string Maker { get; init; } = "";
    public string Licence { get; init; } = "";
    public string At { get; init; } = "";
}

/// <summary>The drawer's pictures; their files lie on the file shelf.</summary>
public sealed class PictureShelf(JobStore store)
{
    public IReadOnlyList<PictureRow> All() =>
        store.Read(c => c.Query<PictureRow>("SELECT * FROM picture ORDER BY at DESC, name").AsList());

    public PictureRow? Find(string hash) =>
        store.Read(c => c.QueryFirstOrDefault<PictureRow>("SELECT * FROM picture WHERE hash = @hash", new { hash }));

    /// <summary>Notes a picture; one that is here already keeps what was said of it.</summary>
    public void Add(PictureRow row) => store.Write(w => w.Connection.Execute(
        "INSERT INTO picture (hash, name, wide, high, opaque, bytes, space, profile, drawn, at) VALUES (@Hash, " +
            "@Name, @Wide, @High, @Opaque, @Bytes, @Space, @Profile, @Drawn, @at) ON CONFLICT (hash) DO NOTHING",
        new
        {
            row.Hash,
            row.Name,
            row.Wide,
            row.High,
            row.Opaque,
            row.Bytes,
            row.Space,
            row.Profile,
            row.Drawn,
            at = store.Now(),
        }, w.Transaction));

    /// <summary>The jobs that use a picture in any of their revisions.</summary>
    public IReadOnlyList<JobRow> Uses(string hash) =>
        store.Read(c =>
            c.Query<JobRow>("SELECT j.id, j.slug, j.made FROM picture_use u JOIN job j ON j.id = u.job WHERE u.hash " +
                "= @hash ORDER BY j.rowid",
                new { hash })
                .AsList());

    /// <summary>Takes a picture out of the drawer, unless a job uses it; says whether it did.</summary>
    public bool Remove(string hash) => store.Write(w => w.Connection.Execute(
        "DELETE FROM picture WHERE hash = @hash AND NOT EXISTS (SELECT 1 FROM picture_use WHERE hash = @hash)",
            new { hash }, w.Transaction)) > 0;

    /// <summary>Notes the page that a picture shows.</summary>
    public void Shows(string hash, string page) => store.Write(w =>
        w.Connection.Execute("UPDATE picture SET page = @page WHERE hash = @hash", new { hash, page }, w.Transaction));

    public void Say(string hash, string source, string maker, string licence) => store.Write(w => w.Connection.Execute(
        "UPDATE picture SET source = @source, maker = @maker, licence = @licence WHERE hash = @hash",
            new { hash, source, maker, licence }, w.Transaction));
}

/// <summary>A printer's own profile.</summary>
public sealed record ProfileRow
{
    public string Hash { get; init; } = "";
    /// <summary>Its file's name.</summary>
    public string Name { get; init; } = "";
    /// <summary>What it says of itself.</summary>
    public string Says { get; init; } = "";
    public long Bytes { get; init; }
    public string At { get; init; } = "";
}

/// <summary>Printers' own profiles; their files lie on a file shelf.</summary>
public sealed class ProfileShelf(JobStore store)
{
    public IReadOnlyList<ProfileRow> All() =>
        store.Read(c => c.Query<ProfileRow>("SELECT * FROM profile ORDER BY says, at").AsList());

    public void Add(ProfileRow row) => store.Write(w => w.Connection.Execute(
        "INSERT INTO profile (hash, name, says, bytes, at) VALUES (@Hash, @Name, @Says, @Bytes, @at) ON CONFLICT " +
            "(hash) DO NOTHING",
            new
            {
                row.Hash,
                row.Name,
                row.Says,
                row.Bytes,
                at = store.Now(),
            }, w.Transaction));
}
