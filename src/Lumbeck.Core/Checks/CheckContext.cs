namespace Lumbeck.Core.Checks;

/// <summary>What a rule looks at: one sheet of one revision of a job, with its arithmetic and its scene.</summary>
/// <param name="Job">The job.</param>
/// <param name="On">The sheet.</param>
/// <param name="Scene">What is drawn on it.</param>
/// <param name="Kept">What is known of pictures and faces; rules that ask find nothing where null.</param>
public sealed record CheckContext(Job Job, PrintedSheet On, Scene Scene, IAssetFacts? Kept = null)
{
    public WrapGeometry Geometry => On.Geometry;
    public Take Take => Job.Wraps[On.Wrap].Take;
    public House House => Job.Ticket.House;
    public Unit Unit => Job.Ticket.Unit;
    public Sheet Sheet => On.Sheet;
    /// <summary>The number of the first sheet that carries this wrap.</summary>
    public int First => On.Number - On.Geometry.Sheets.IndexOf(On.Sheet);

    /// <summary>
    /// A shape's edge counts as past a line from here on; under it lie only rounding and antialiasing.
    /// </summary>
    public static readonly Length Tolerance = Length.FromMillimetres(0.01m);

    /// <summary>
    /// How far letters may reach out of the box they are set in, by a side bearing below zero or a stroke that swings:
    /// words whose box is where it should be are so themselves.
    /// </summary>
    public static readonly Length Overhang = Length.FromMillimetres(0.4m);

    /// <summary>The items that hang on this sheet, hidden ones too, lowest first.</summary>
    public IEnumerable<Item> Here() =>
        Take.Items.Where(i => i.Hold.Panel == Part.Sheet || Sheet.Panel(i.Hold.Panel) is not null);

    /// <summary>The pictures that print on this sheet, each with its item; with none on the ground.</summary>
    public IEnumerable<(Item? Item, Picture Picture)> PicturesShown() =>
        Take.Ground.Pictures.Select(p => ((Item?)null, p))
            .Concat(Here().Where(i => !i.Hidden).SelectMany(i => i.Pictures.Select(p => ((Item?)i, p))));

    /// <summary>The items that print, with their drawn items, lowest first.</summary>
    public IEnumerable<(Item Item, DrawnItem Drawn)> Drawn() =>
        Take.Items.Where(i => !i.Hidden)
            .Join(Scene.Items.DistinctBy(d => d.Item), i => i.Id, d => d.Item, (item, drawn) => (item, drawn))
            .Where(x => !x.drawn.Inked.IsEmpty);
}
