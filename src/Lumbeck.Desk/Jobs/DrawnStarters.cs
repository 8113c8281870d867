namespace Lumbeck.Desk.Jobs;

/// <summary>
/// What drawn art begins with: an ornament in the panel's middle, a border round it, a vista over the sheet.
/// </summary>
internal static class DrawnStarters
{
    /// <summary>What of it is offered on a cover's panels: (word, what the list says).</summary>
    public static IReadOnlyList<(string Word, string Says)> Offered { get; } =
        [("ornament", "ornament"), ("corner", "corners"), ("border", "border"), ("label", "drawn label"), ("paper", "pattern"),
            ("vista", "vista")];

    /// <summary>The item of this word; null where it is none of drawn art.</summary>
    /// <param name="job">For its swatches.</param>
    /// <param name="word">A word of what is offered.</param>
    /// <param name="panel">The panel.</param>
    /// <param name="id">Its id.</param>
    /// <param name="ink">What is seen on the ground, where the job has no swatches.</param>
    /// <param name="ground">What it lies on.</param>
    public static Item? Of(Job job, string word, Part panel, string id, Paint ink, Ink ground) => word switch
    {
        "ornament" => Ornament(job, "sprig", panel, id, ink, ground),
        "corner" => Ornament(job, "scroll-corner", panel, id, ink, ground),
        "border" => Ornament(job, "double-border", panel, id, ink, ground),
        "label" => Ornament(job, "notebook-label", panel, id, ink, ground),
        // Over the panel and out to where it is cut, under all that lies on it.
        "paper" => new RectItem
        {
            Id = id,
            Name = "Pattern",
            Hold = new(panel, HoldBox.Edge, Anchor.Middle, default, default),
            Width = Span.Full,
            Height = Span.Full,
            Fill = new Fill(null, PatternShelf.Kinds[1].In(job.Swatches)),
        },
        "vista" => new VistaItem
        {
            Id = id,
            Hold = new(Part.Sheet, HoldBox.Edge, Anchor.TopLeft, default, default),
            Width = Span.Full,
            Height = Span.Full,
            Vista = VistaShelf.All[0].First,
        },
        _ => null,
    };

    private static OrnamentItem Ornament(Job job, string word, Part panel, string id, Paint ink, Ink ground)
    {
        var first = OrnamentShelf.All.First(o => o.Word == word).First;
        // A label is its own ground.
        if (first.Sort == OrnamentSort.Label) ground = Ink.White;
        // What is farthest from the ground first, so that it is seen.
        var drawn = first.In([.. job.Swatches.Where(s => s.Ink != ground)
            .OrderByDescending(s => Apart(s.Ink, ground))]);
        if (drawn == first && first.Sort != OrnamentSort.Label)
            drawn = first with { Paints = [.. first.Paints.Select(_ => ink)] };
        var border = first.Sort == OrnamentSort.Border;
        var (wide, high) = first.First;
        static int Apart(Ink a, Ink b) =>
            Math.Abs(a.C - b.C) + Math.Abs(a.M - b.M) + (Math.Abs(a.Y - b.Y) / 3) + (2 * Math.Abs(a.K - b.K));
        return new()
        {
            Id = id,
            Ornament = drawn,
            Hold = new(panel, HoldBox.Safe, first.Sort == OrnamentSort.Corner ? Anchor.TopLeft : Anchor.Middle, default,
                default),
            Width = border ? Span.Full : new(Length.FromMillimetres((decimal)wide)),
            Height = border ? Span.Full : new(Length.FromMillimetres((decimal)high)),
        };
    }
}
