namespace Lumbeck.Core.Art.PageDesigns;

/// <summary>
/// Rules to write on: the last lies on the foot margin, the others a pitch apart above it, as many as fit. What is left
/// over goes to the head.
/// </summary>
public sealed record Ruled : PageDesign
{
    /// <summary>From one rule to the next.</summary>
    public Length Pitch { get; init; } = Length.FromMillimetres(7);

    /// <summary>Room above the rules for a heading, with a rule of its own; 0 for none.</summary>
    public Length Header { get; init; }

    /// <summary>Of a rule.</summary>
    public Length Weight { get; init; } = Length.FromPoints(0.5m);

    /// <summary>How many rules fit, and what is left over.</summary>
    /// <param name="Rows">Rules; each has a pitch of room above it.</param>
    /// <param name="Over">Given to the head.</param>
    public sealed record Rules(int Rows, Length Over);

    public override string Kind => "ruled";
    public override ImmutableArray<string> Slots => ["Rules", "Head rule"];

    /// <exception cref="Refusal">Not one row fits.</exception>
    public Rules Fit(Surface page)
    {
        if (Pitch < Length.FromMillimetres(1))
            throw new Refusal("pitch", $"rules {Pitch.Show(Unit.Millimetre)} apart can’t be written on: from 1 mm on");
        var room = page.Safe.Height - Header;
        var rows = (int)(room.Units / Pitch.Units);
        return rows > 0
            ? new(rows, room - (rows * Pitch))
            : throw new Refusal("pitch",
                $"{room.Show(Unit.Millimetre)} within the margins hold no row of {Pitch.Show(Unit.Millimetre)}");
    }

    /// <summary>The same as a sum: “(210 − 24) mm ÷ 7 mm = 26 rows, 4 mm over, given to the head”.</summary>
    public string Working(Surface page, Unit unit)
    {
        var (fit, trim, safe) = (Fit(page), page.Trim, page.Safe);
        Length[] taken = [safe.Y - trim.Y, trim.Bottom - safe.Bottom, .. Header.IsZero ? (Length[])[] : [Header]];
        var over = fit.Over.IsZero ? "" : $", {fit.Over.Show(unit)} over, given to the head";
        return $"{trim.Height.Show(unit)} − {string.Join(" − ", taken.Select(t => t.Show(unit)))} = " +
            $"{(safe.Height - Header).Show(unit)}, ÷ {Pitch.Show(unit)} = {fit.Rows} rows{over}";
    }

    public override IEnumerable<Drawn> Draw(Surface page)
    {
        var (fit, safe) = (Fit(page), page.Safe);
        var rule = Level(0, 0, safe.Width.Points);
        ImmutableArray<Affine> places = [.. Enumerable.Range(0, fit.Rows)
            .Select(n => Affine.Move(safe.X.Points, (safe.Bottom - ((fit.Rows - 1 - n) * Pitch)).Points))];
        yield return new Repeated([new Line(rule, Weight.Points)], places);
        if (!Header.IsZero)
            yield return new Line(Level(safe.X.Points, (safe.Y + Header).Points, safe.Width.Points), 2 * Weight.Points,
                1);
    }

    private static Outline Level(double x, double y, double wide)
    {
        var pen = new Pen();
        pen.Move(x, y);
        pen.Line(x + wide, y);
        return pen.Done();
    }
}
