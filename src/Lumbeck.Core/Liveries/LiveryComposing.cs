namespace Lumbeck.Core.Liveries;

/// <summary>What a livery makes of a job: a design for one wrap, and what it has no room for.</summary>
/// <param name="Takes">A design for each wrap that the binding prints.</param>
/// <param name="Unfit">What did not fit, in words with its figure; none within the livery's capacity.</param>
public sealed record Composition(ImmutableList<Take> Takes, ImmutableArray<string> Unfit);

/// <summary>What a back shows of the book's inside, where that is what people buy it for.</summary>
/// <param name="Pages">Pages as small true pictures, in their order.</param>
/// <param name="Lines">What is in it, a line each.</param>
public sealed record InsideShown(ImmutableArray<Picture> Pages, ImmutableArray<string> Lines)
{
    /// <summary>Most pages, and most lines.</summary>
    public const int Most = 3;

    public static InsideShown None { get; } = new([], []);
}

/// <summary>
/// Composes a livery from what a ticket knows: one pure function of job, sheet, livery, colourway and seed. The spine's
/// words are those of <see cref="SpineComposing"/>, laid by whoever keeps the job right.
/// </summary>
public static class LiveryComposing
{
    /// <summary>Swatches that a livery's items name.</summary>
    public static ImmutableList<Swatch> Swatches(Livery livery, Colourway way) => [.. Enum.GetValues<LiveryTone>()
        .Select(tone =>
            new Swatch(Of(livery, way, tone), $"{livery.Name}, {tone.ToString().ToLowerInvariant()}", way.Of(tone)))];

    internal static string Of(Livery livery, Colourway way, LiveryTone tone) =>
        $"{livery.Id}-{livery.Colourways.IndexOf(way) + 1}-{tone.ToString().ToLowerInvariant()}";

    /// <param name="job">The job.</param>
    /// <param name="livery">The livery.</param>
    /// <param name="way">In which colours.</param>
    /// <param name="seed">Of what it draws by chance.</param>
    /// <param name="id">Of the takes.</param>
    /// <param name="type">Faces.</param>
    /// <param name="inside">What its back may show of its pages; null for nothing.</param>
    public static Composition Compose(Job job, Livery livery, Colourway way, Seed seed, string id, IType type,
        InsideShown? inside = null)
    {
        var (takes, unfit) = (ImmutableList.CreateBuilder<Take>(), new List<string>());
        foreach (var wrap in job.Sheets().GroupBy(s => s.Wrap).OrderBy(g => g.Key))
        {
            var now = job.Wraps[wrap.Key].Take;
            var carried = Carried.Of(now, job.Ticket);
            var c = new LiveryComposer(job, [.. wrap.Select(s => s.Sheet)], livery, way, seed, carried, type,
                livery.IsForUse ? inside ?? InsideShown.None : InsideShown.None);
            c.Under();
            c.Front();
            c.Spine();
            c.Back();
            c.Flaps();
            var ground = new Fill(c.Paint(livery.Form == FrontForm.Open ? livery.On : LiveryTone.Ground),
                livery.Paper is { } paper
                    ? paper with { Seed = seed, Paints = c.Paints(paper, livery.Tones) }
                    : null);
            takes.Add(Carried.Beside(Stamped(new(id, livery.Name, ground, [.. c.Items]), wrap.Key, livery.Id,
                livery.Colourways.IndexOf(way) + 1, seed, job.Ticket), now, job.Ticket));
            unfit.AddRange(c.Unfit);
        }
        return new(Apart(takes), [.. unfit.Distinct()]);
    }

    /// <summary>The takes of a job's wraps, no item of one with the name that one of another has.</summary>
    public static ImmutableList<Take> Apart(IReadOnlyList<Take> takes)
    {
        var taken = new HashSet<string>();
        return
        [
            .. takes.Select(take =>
            {
                var own = take.Items.Concat(take.Beside).Select(i => i.Id).ToHashSet();
                var apart = take with
                {
                    Items =
                    [
                        .. take.Items.Select(i => !taken.Contains(i.Id) ? i
                            : i with { Id = Free.Id(i.Id, id => taken.Contains(id) || !own.Add(id)) }),
                    ],
                };
                taken.UnionWith(apart.Items.Select(i => i.Id));
                return apart;
            }),
        ];
    }

    /// <summary>
    /// A take whose parts say what laid them; what lies on two wraps of a job has a name of its own on each.
    /// </summary>
    internal static Take Stamped(Take take, int wrap, string livery, int way, Seed seed, Ticket ticket) => take with
    {
        Items =
        [
            .. take.Items.Select(i => Origins.Told((wrap == 0 ? i : i with { Id = $"{i.Id}-{wrap + 1}" }) with
            {
                Laid = new(i.Id, Figures.Of(i), i is TextItem t ? Figures.OfWords(t.Words) : ""),
            }, ticket)),
        ],
        Worn = new(livery, way, seed, [.. take.Items.Select(i => i.Id)], Figures.Of(take.Ground)),
    };
}
