namespace Lumbeck.Desk.Houses;

/// <summary>One thing that is otherwise at another house.</summary>
public sealed record Otherwise(string What, string Here, string There);

/// <summary>What changes where a job is pressed for another house.</summary>
public static class OtherHouse
{
    /// <summary>Sheet, marks, colour and file, as far as they differ.</summary>
    public static IReadOnlyList<Otherwise> Changes(Composed here, Composed there)
    {
        var (a, b) = (here.Job.Ticket.House, there.Job.Ticket.House);
        var unit = here.Job.Ticket.Unit;
        static string marks(House h) =>
            string.Join(", ",
                ((string[])[h.Marks switch
                    {
                        Marks.None => "none",
                        Marks.Crop => "crop",
                        Marks.OnWish => "as you wish",
                        _ => "crop and bleed",
                    },
                    h.FoldMarks ? "folds" : "", h.InkBar ? "ink bar" : "", h.Slug ? "slug" : ""])
                    .Where(w => w.Length > 0));
        static string barcode(House h) => h.BarcodeBy switch
        {
            BarcodeBy.House => "the printer’s, where there is none",
            BarcodeBy.Maker => "yours",
            _ => "either’s",
        };
        string percent(decimal p) => p.ToString("0.##", CultureInfo.InvariantCulture) + " %";
        (string What, string Here, string There)[] all =
        [
            ("Sheet", Sheets(here, unit), Sheets(there, unit)),
            ("Spine", here.Geometry.Spine.Width.Show(unit), there.Geometry.Spine.Width.Show(unit)),
            ("Paper", here.Job.Ticket.Paper.Name, there.Job.Ticket.Paper.Name),
            ("Bleed", a.Bleed.Show(unit), b.Bleed.Show(unit)),
            ("Safe from cuts", a.TrimSafe.Show(unit), b.TrimSafe.Show(unit)),
            ("Safe from folds", a.FoldSafe.Show(unit), b.FoldSafe.Show(unit)),
            ("Standard", string.Join(" or ", a.Kinds.Select(k => k.Title)),
                string.Join(" or ", b.Kinds.Select(k => k.Title))),
            ("Marks", marks(a), marks(b)),
            ("Printing condition", a.OutputCondition, b.OutputCondition),
            ("RGB becomes ink by", a.Intent.ToString().ToLowerInvariant(), b.Intent.ToString().ToLowerInvariant()),
            ("Total ink", percent(a.InkLimit), percent(b.InkLimit)),
            ("Black overprints to", a.BlackOverprintUpTo.ShowPoints(), b.BlackOverprintUpTo.ShowPoints()),
            ("Barcode", barcode(a), barcode(b)),
            ("Largest file", $"{a.FileLimit} MB", $"{b.FileLimit} MB"),
        ];
        return [.. all.Where(c => c.Here != c.There).Select(c => new Otherwise(c.What, c.Here, c.There))];
    }

    /// <summary>What is found there that is not found here.</summary>
    public static IReadOnlyList<Finding> New(Composed here, Composed there)
    {
        var known = here.Drawn.Select(f => (f.Id, f.Item)).ToHashSet();
        return [.. there.Drawn.Where(f => f.Severity != Severity.Note && !known.Contains((f.Id, f.Item)))];
    }

    private static string Sheets(Composed c, Unit unit) =>
        string.Join(" and ", c.Sheets.Select(s => s.Sheet.Size.Show(unit)));
}
