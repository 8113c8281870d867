namespace Lumbeck.Core.Art.PageDesigns;

/// <summary>Staves of five lines, spread evenly over the page; those played together are joined at their beginning,
/// by a brace where it is wanted, and each may begin with a clef.</summary>
public sealed record MusicStaves : PageDesign
{
    /// <summary>From one line of a staff to the next.</summary>
    public Length Space { get; init; } = Length.FromMillimetres(2);

    public int Staves { get; init; } = 10;

    /// <summary>So many staves are played together.</summary>
    public int System { get; init; } = 1;

    public Length Weight { get; init; } = Length.FromPoints(0.5m);

    /// <summary>At the beginning of each staff; of two that are played together the lower has the bass’s.</summary>
    public Clef Clef { get; init; }

    /// <summary>Whether a brace holds together what is played together.</summary>
    public bool Brace { get; init; }

    public override string Kind => "music staves";
    protected override ImmutableArray<string> OwnSlots => ["Staves", "Braces"];

    protected override IReadOnlyList<Field> OwnFields =>
    [
        Count<MusicStaves>("staves", "Staves", 1, 30, d => d.Staves, (d, n) => d with { Staves = n }),
        Count<MusicStaves>("system", "Played together", 1, 4, d => d.System, (d, n) => d with { System = n }),
        new Field<MusicStaves, Clef>("clef", "Clef", Values.OneOf(("none", Clef.None), ("treble", Clef.Treble), ("bass", Clef.Bass),
            ("alto", Clef.Alto)), d => d.Clef, (d, c) => d with { Clef = c })
        { Choices = [("none", "none"), ("treble", "treble"), ("bass", "bass"), ("alto", "alto")] },
        new Field<MusicStaves, bool>("brace", "Brace", Values.Switch, d => d.Brace, (d, b) => d with { Brace = b }),
        Measure<MusicStaves>("space", "Space", 1, 8, d => d.Space, (d, l) => d with { Space = l }),
        Weighed<MusicStaves>("weight", "Weight", 0.25m, 2, d => d.Weight, (d, l) => d with { Weight = l }),
    ];

    private Length Staff => 4 * Space;

    private bool Braced => Brace && System > 1;

    /// <summary>
    /// The room for staves: what clefs reach over and under them is taken off, and what a brace takes beside.
    /// </summary>
    private (Length Head, Length Foot, Length Side) Taken
    {
        get
        {
            var (over, under, _) = Clefs.Reach(Clef);
            return ((decimal)over * Space, Clef == Clef.Treble && System == 2 ? Length.Zero : (decimal)under * Space,
                Braced ? 1.4m * Space : Length.Zero);
        }
    }

    private Length Room(Length height) => height - Taken.Head - Taken.Foot;

    /// <summary>What lies between two staves.</summary>
    /// <exception cref="Refusal">They don't fit.</exception>
    private Length Between(Surface page)
    {
        var left = Room(page.Safe.Height) - (Staves * Staff);
        if (left < Staves * Space)
            throw new Refusal("staves", $"{Staves} staves of {Staff.Show(Unit.Millimetre)} don't fit into " +
                $"{page.Safe.Height.Show(Unit.Millimetre)} with room to write between them: take fewer, or a smaller " +
                    $"space");
        return Staves == 1 ? left : 1m / (Staves - 1) * left;
    }

    protected override (int? Rows, int? Columns, Length? Over) Fitting(Surface page) => (Staves, null, null);

    protected override string Sum(Surface page, Unit unit) =>
        $"{PageLines.Room(page, true, unit)}, − {Staves} × {Staff.Show(unit)}" +
            (Taken.Head + Taken.Foot is { Units: > 0 } clefs ? $" − {clefs.Show(unit)} for clefs" : "") +
            $" = {(Room(page.Safe.Height) - (Staves * Staff)).Show(unit)}" +
            (Staves > 1 ? $", ÷ {Staves - 1} = {Between(page).Show(unit)} between staves" : " under the staff");

    protected override IEnumerable<Drawn> Fill(Surface page, PageFacts at)
    {
        var (between, safe, taken) = (Between(page), page.Safe, Taken);
        var left = (safe.X + taken.Side).Points;
        double head(int n) => (safe.Y + taken.Head + (n * (Staff + between))).Points;
        var lines = new Pen();
        for (var n = 0; n < 5; n++) lines.Add(PageLines.Level(0, (n * Space).Points, safe.Right.Points - left));
        yield return PageLines.Again(lines.Done(), Weight, 0, Enumerable.Range(0, Staves).Select(n => (left, head(n))));
        for (var n = 0; n < Staves; n += System)
        {
            var last = Math.Min(n + System, Staves) - 1;
            var high = head(last) - head(n) + Staff.Points;
            yield return new Line(PageLines.Upright(left, head(n), high), Weight.Points * (System > 1 ? 2 : 1), 1);
            if (!Braced || last == n) continue;
            var (x, wide, top) = (safe.X.Points, taken.Side.Points * 0.8, head(n));
            yield return new Line(Shapes.Of(p =>
            {
                p.Move(x + wide, top);
                p.Cubic(x, top + (0.06 * high), x + (1.05 * wide), top + (0.44 * high), x + 1, top + (0.5 * high));
                p.Cubic(x + (1.05 * wide), top + (0.56 * high), x, top + (0.94 * high), x + wide, top + high);
            }), 0.3 * Space.Points, 1);
        }
        foreach (var clef in Enumerable.Range(0, Staves)
            .GroupBy(n => Clef == Clef.Treble && System == 2 && n % 2 == 1 ? Clef.Bass : Clef))
        {
            ImmutableArray<Drawn> drawn = [.. Clefs.Draw(clef.Key, Space.Points, 1)];
            if (!drawn.IsEmpty) yield return new Repeated(drawn, [.. clef.Select(n => Affine.Move(left, head(n)))]);
        }
    }
}
