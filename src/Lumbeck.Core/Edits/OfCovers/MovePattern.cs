namespace Lumbeck.Core.Edits.OfCovers;

/// <summary>
/// Moves a pattern as a hand does: carried, then made larger or smaller and turned about the middle of the front, or of
/// the shape that it fills.
/// </summary>
/// <param name="Right">Carried so far right, on the sheet.</param>
/// <param name="Down">Carried so far down.</param>
/// <param name="Larger">How many times as large; 1 leaves it. It stays within a pattern's least and greatest scale.</param>
/// <param name="Turned">In degrees clockwise.</param>
/// <param name="Wrap">The wrap.</param>
/// <param name="Item">The shape it fills; null for the ground's.</param>
public sealed record MovePattern(Length Right, Length Down, double Larger = 1, double Turned = 0, int Wrap = 0, string? Item = null)
    : Edit
{
    public override string Says(Job before) =>
        $"the pattern of {(Item is null ? "the ground" : before.Item(Item)?.Said ?? "a shape")} by hand";

    protected override Job On(Job job)
    {
        var path = Item is null ? GroundPath.Of(Wrap, "paper") : $"item/{Item}/paper";
        if (!double.IsFinite(Larger) || Larger <= 0 || !double.IsFinite(Turned))
            throw new Refusal(path, "it can't be made so large");
        if (Item is not null) return OfShape(job, path);
        if (Wrap < 0 || Wrap >= job.Wraps.Count) throw new Refusal(path, "this job has no such wrap");
        var take = job.Wraps[Wrap].Take;
        if (take.Ground.Pattern is not { } pattern)
            throw new Refusal(path, "no pattern lies on the ground: pick one first");
        var sheet = job.Sheets().First(s => s.Wrap == Wrap).Sheet;
        var face = (sheet.Panel(Part.Front) ?? sheet.Panels[0]).Face;
        return job.With(Wrap, take with
        {
            Ground = take.Ground with { Pattern = Moved(pattern, face.Size, (Right.Points, Down.Points), path) },
        });
    }

    private Job OfShape(Job job, string path)
    {
        var wrap = job.WrapOf(Item!);
        if (wrap < 0) throw Job.Gone(Item!);
        if (job.Item(Item!) is not ShapeItem { Fill.Pattern: { } pattern } shape)
            throw new Refusal(path, "no pattern fills this: pick one first");
        if (Placement.Of(shape, job.SheetOf(shape, wrap)) is not { } at) throw new Refusal(path, "it lies on no panel now");
        // A hand moves on the sheet; a pattern goes with its shape, however that is turned.
        var (back, own) = (at.ToSheet.Inverse(), at.Box);
        var by = (X: (back.A * Right.Points) + (back.C * Down.Points), Y: (back.B * Right.Points) + (back.D * Down.Points));
        return job.WithItem(Item!, i => (ShapeItem)i with
        {
            Fill = shape.Fill with { Pattern = Moved(pattern, own.Size, by, path) },
        });
    }

    private Pattern Moved(Pattern pattern, Size face, (double X, double Y) carried, string path)
    {
        var scale = Math.Clamp(Math.Round(pattern.Scale * (decimal)Math.Clamp(Larger, 0.01, 100), 1), Pattern.ScaleLeast,
            Pattern.ScaleMost);
        var turn = Math.Round(Level(pattern.Turn + (decimal)(Turned % 360)), 1);
        // What was about the middle stays there.
        var (x, y) = ((double)pattern.MovedRight, (double)pattern.MovedDown);
        var middle = pattern.Start == PatternStart.Middle
            ? (X: 0.0, Y: 0.0)
            : (X: (double)face.Width.Millimetres / 2, Y: (double)face.Height.Millimetres / 2);
        var by = (double)(scale / pattern.Scale);
        var (dx, dy) = Affine.Rotate((double)(turn - pattern.Turn)).At((x - middle.X) * by, (y - middle.Y) * by);
        var mm = 25.4 / 72;
        var moved = pattern with
        {
            Scale = scale,
            Turn = turn,
            MovedRight = Mm(middle.X + dx + (carried.X * mm)),
            MovedDown = Mm(middle.Y + dy + (carried.Y * mm)),
        };
        return moved.IsSound ? moved
            : throw new Refusal(path, "it can't be moved so far: up to 2000 mm from where it starts");
    }

    private static decimal Mm(double mm) => Math.Round((decimal)mm, 2);

    /// <summary>The same turn, from −180 to 180.</summary>
    private static decimal Level(decimal turn) => turn > 180 ? turn - 360 : turn < -180 ? turn + 360 : turn;
}
