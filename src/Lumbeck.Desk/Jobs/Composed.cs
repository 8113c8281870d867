namespace Lumbeck.Desk.Jobs;

/// <summary>One printed sheet with its scene.</summary>
public sealed record ComposedSheet(PrintedSheet On, Scene Scene)
{
    public Sheet Sheet => On.Sheet;
    public WrapGeometry Geometry => On.Geometry;
}

/// <summary>
/// One revision worked out: its sheets, their scenes and what Check found on them as drawn. Never changes.
/// </summary>
public sealed record Composed(long Revision, Job Job, ImmutableArray<ComposedSheet> Sheets,
    ImmutableArray<Finding> Drawn)
{
    private readonly Lazy<ImmutableArray<Finding>>? _findings;

    /// <summary>
    /// What was found on plates, and on which revision's: until this one's are looked at, those of the one before.
    /// </summary>
    public (long Revision, ImmutableArray<Finding> Found)? Plates
    {
        get;
        init
        {
            field = value;
            _findings = new(() =>
                value is { } p
                    ? Rules.Merged(Drawn,
                        p.Found.Where(f => f.Item is null || Job.Item(f.Item) is not null)
                            .Select(f => f with { Waived = Job.Waivers.FirstOrDefault(w => w.Rule == f.Id)?.Reason }))
                    : Drawn);
        }
    }

    /// <summary>Its pages, where they are made here.</summary>
    public InsidePlan? Pages { get; init; }

    /// <summary>The faces that words are set in on its sheets, in order.</summary>
    public IEnumerable<FaceId> Faces =>
        Sheets.SelectMany(s => s.Scene.Items).SelectMany(p => p.Marks).OfType<GlyphMark>().Select(g => g.Face)
            .Distinct().Order();

    /// <summary>What it takes in memory, about: marks and their points, whichever revisions share them.</summary>
    public long Bytes => 4000 + Sheets.Sum(s => s.Scene.Items.Sum(p => 1000 + p.Marks.Sum(MarkWeight.Of)));

    /// <summary>Whether this revision's own plates were looked at.</summary>
    public bool IsPlated => Plates?.Revision == Revision;

    /// <summary>All that was found, stops first.</summary>
    public ImmutableArray<Finding> Findings => _findings?.Value ?? Drawn;

    /// <summary>The arithmetic of the wrap that carries the front.</summary>
    public WrapGeometry Geometry => Sheets[0].Geometry;

    /// <summary>The sheet that an item is printed on; the first where it is on none.</summary>
    public ComposedSheet SheetOf(string item) =>
        Sheets.FirstOrDefault(s => s.Scene.Item(item) is { Frame.IsEmpty: false })
            ?? Sheets.FirstOrDefault(s => s.On.Wrap == Job.WrapOf(item))
            ?? Sheets[0];

    /// <summary>The sheet of an id; the first where the job has none of that.</summary>
    public ComposedSheet Named(string? sheet) => Sheets.FirstOrDefault(s => s.On.Id == sheet) ?? Sheets[0];

    public Readiness Readiness => Readiness.Of(Findings);

    /// <summary>The same in one line; plates that were never looked at do not count as fine.</summary>
    public string SaysReady =>
        Readiness is { Stops: 0, Cautions: 0, Todos: 0 } && Plates is null ? "nothing drawn stops the press" : Readiness.Say();

    /// <summary>This job with the items named that want a look after its sheet was another's.</summary>
    public Job LookedOver(Composed was) => Job with
    {
        Looks = AfterChange.Merge(Job,
            AfterChange.Of((was.Job, [.. was.Sheets.Select(s => s.Scene)], was.Findings),
                (Job, [.. Sheets.Select(s => s.Scene)], Findings))),
    };

    private static readonly System.Diagnostics.Metrics.Counter<long> Scenes =
        new System.Diagnostics.Metrics.Meter("Lumbeck")
        .CreateCounter<long>("lumbeck.scenes", description: "Scenes built: one a sheet and revision.");

    /// <exception cref="Refusal">The job makes no sheet, or names a face that is not here.</exception>
    /// <param name="revision">Its number; 0 where it has none yet.</param>
    /// <param name="job">The job.</param>
    /// <param name="type">Faces.</param>
    /// <param name="drawings">What drawn pictures and patterns draw.</param>
    /// <param name="kept">What rules learn of pictures and faces.</param>
    /// <param name="tables">The drawer’s tables.</param>
    /// <param name="puzzles">Puzzles that take time to make.</param>
    /// <param name="before">The job before an edit: what the edit left alone is not drawn anew.</param>
    public static Composed Of(long revision, Job job, IType type, IDrawings? drawings = null, IAssetFacts? kept = null,
        Composed? before = null, ITables? tables = null, IPuzzles? puzzles = null)
    {
        // What lacked a picture is drawn anew: the picture may be back.
        var built = before is null || before.Drawn.Any(f => f.Id == PictureMissing.Named)
            ? null
            : new BuiltBefore(before.Job, [.. before.Sheets.Select(s => (s.On, s.Scene))]);
        // Sheets follow from the ticket and the names of wraps: an edit of neither leaves them as they were made.
        var printed = before is not null && ReferenceEquals(before.Job.Ticket, job.Ticket)
            && before.Job.Wraps.Select(w => w.Name).SequenceEqual(job.Wraps.Select(w => w.Name))
            ? [.. before.Sheets.Select(s => s.On)]
            : job.Sheets();
        var sheets = printed
            .Select(on => new ComposedSheet(on, SceneBuilder.Build(job, on, type, drawings, built))).ToImmutableArray();
        Scenes.Add(sheets.Length);
        var pages = !job.HasPages ? null
            : before?.Pages is { } known && ReferenceEquals(known.Inside, job.Inside)
                && ReferenceEquals(known.Job.Ticket, job.Ticket)
                && ReferenceEquals(known.Job.Swatches, job.Swatches) ? known : new InsidePlan(job, tables, puzzles);
        return new(revision, job, sheets,
            Rules.Check(sheets.Select(s => new CheckContext(job, s.On, s.Scene, kept))))
        { Pages = pages };
    }
}
