namespace Lumbeck.Core.Art.PageDesigns;

/// <summary>A table’s rows, columns and heads on one page, as they are drawn.</summary>
/// <param name="Columns">From where lines begin to be read.</param>
/// <param name="Pitch">From one row’s rule to the next.</param>
/// <param name="Head">Room for the columns’ heads.</param>
/// <param name="Weight">Of a rule.</param>
internal sealed record Rows(ImmutableArray<Column> Columns, Length Pitch, Length Head, Length Weight)
{
    /// <summary>Rows that fit under the heads.</summary>
    /// <exception cref="Refusal">Not one does.</exception>
    public Fitted Fit(Surface page) => Fitted.Of(page.Safe.Height - Head, Pitch, "row");

    /// <summary>How wide each column is; shares take what those of a length leave.</summary>
    /// <exception cref="Refusal">They leave too little.</exception>
    public ImmutableArray<Length> Widths(Length room)
    {
        var given = Columns.Aggregate(Length.Zero, (all, c) => all + (c.Wide ?? Length.Zero));
        var shares = Columns.Where(c => c.Wide is null).Sum(c => c.Share);
        var left = room - given;
        if (left.Units < 0 || (shares > 0 && Columns.Any(c => c.Wide is null && c.Share / shares * left < Least)))
            throw new Refusal("columns", $"columns of {given.Show(Unit.Millimetre)} leave " +
                $"{Length.Max(left, default).Show(Unit.Millimetre)} of {room.Show(Unit.Millimetre)} for the others: " +
                    $"make them narrower");
        return [.. Columns.Select(c => c.Wide ?? c.Share / shares * left)];
    }

    private static readonly Length Least = Length.FromMillimetres(3);

    public string Sum(Surface page, Unit unit)
    {
        var widths = Widths(page.Safe.Width);
        return $"{PageLines.Room(page, true, unit)}, − {Head.Show(unit)} for heads, ÷ {Pitch.Show(unit)} = " +
            $"{Fit(page).Say("row", "the head", unit)}; {page.Safe.Width.Show(unit)} = " +
            string.Join(" + ", widths.Select(w => w.Show(unit)));
    }

    /// <summary>Rules and columns in the first two slots, words in the last.</summary>
    public IEnumerable<Drawn> Draw(Surface page, PageFacts at, int words)
    {
        var (fit, safe, widths) = (Fit(page), page.Safe, Widths(page.Safe.Width));
        var high = (fit.Count * Pitch).Points;
        var foot = safe.Bottom.Points;
        yield return PageLines.Again(PageLines.Level(0, 0, safe.Width.Points), Weight, 0,
            Enumerable.Range(0, fit.Count + 1).Reverse()
                .Select(n => (safe.X.Points, (safe.Bottom - (n * Pitch)).Points)));
        List<(Column Column, Length X, Length Wide)> laid = [];
        var x = safe.X;
        // In a book read from right to left the first column lies at the right.
        foreach (var n in at.Mirrored ? Enumerable.Range(0, widths.Length).Reverse()
            : Enumerable.Range(0, widths.Length))
        {
            laid.Add((Columns[n], x, widths[n]));
            x += widths[n];
        }
        yield return PageLines.Again(PageLines.Upright(0, -high, high), Weight, 1,
            laid.Skip(1).Select(c => (c.X.Points, foot)));
        foreach (var (column, left, wide) in laid)
        {
            foreach (var drawn in Cells(column, left.Points, wide.Points, foot, fit.Count, at, words))
                yield return drawn;
            if (at.Fill(column.Head) is not { Length: > 0 } head || Head.IsZero) continue;
            var size = Math.Min(8, Head.Points * 0.55);
            yield return new Written(head, new(left.Points + 2, foot - high - Head.Points, (left + wide).Points - 1,
                foot - high - (0.35 * size)), size, words)
            {
                Align = at.Mirrored ? Align.Right : Align.Left,
                Stand = Stand.Foot,
                Leading = 1.05m,
                Fits = true,
            };
        }
    }

    private IEnumerable<Drawn> Cells(Column column, double left, double wide, double foot, int rows, PageFacts at,
        int words)
    {
        var pitch = Pitch.Points;
        var middle = left + (wide / 2);
        IEnumerable<(double X, double Y)> places(double x) =>
            Enumerable.Range(0, rows).Select(n => (x, foot - ((rows - n - 0.5) * pitch)));
        switch (column.Kind)
        {
            case ColumnKind.Tick:
                var side = Math.Min(0.44 * pitch, 0.6 * wide);
                yield return PageLines.Again(Outline.Rectangle(-side / 2, -side / 2, side, side), Weight, 1,
                    places(middle));
                break;
            case ColumnKind.Rating:
                var step = Math.Min(0.5 * pitch, (wide - 4) / 5);
                if (step < 3) break;
                var dots = new Pen();
                for (var n = 0; n < 5; n++) dots.Add(Shapes.Circle((n - 2) * step, 0, 0.34 * step));
                yield return PageLines.Again(dots.Done(), Weight, 1, places(middle));
                break;
            case ColumnKind.Date:
                var lean = 0.16 * pitch;
                var strokes = new Pen();
                foreach (var share in (double[])[-1 / 6.0, 1 / 6.0])
                    strokes.Add(PageLines.Line((share * wide) - lean, 0.26 * pitch, (share * wide) + lean,
                        -0.26 * pitch));
                if (wide > 6 * lean) yield return PageLines.Again(strokes.Done(), Weight, 1, places(middle));
                break;
            case ColumnKind.Number:
                var first = (at.Time - 1) * rows;
                var size = Math.Min(8, 0.5 * pitch);
                for (var n = 0; n < rows; n++)
                {
                    var y = foot - ((rows - n) * pitch);
                    yield return new Written((first + n + 1).ToString(CultureInfo.InvariantCulture),
                        new(left + 1, y, left + wide - 3, y + pitch - (0.28 * pitch)), size, words)
                    { Align = Align.Right, Stand = Stand.Foot };
                }
                break;
        }
    }
}
