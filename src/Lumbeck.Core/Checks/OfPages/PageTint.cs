namespace Lumbeck.Core.Checks.OfPages;

/// <summary>Tints too light to hold, or so dark that they close up.</summary>
public sealed class PageTint : PageRule
{
    public override string Id => "page.tint";
    public override string Proves => "tints hold on the page’s paper";

    public override IEnumerable<Finding> Find(PageLook look)
    {
        var least = look.House.Inside.TintLeast;
        foreach (var drawn in look.Scene.Items)
        {
            if (drawn.Marks.OfType<PictureMark>().FirstOrDefault(p => p.Strength < 1 && (decimal)p.Strength * 100 < least) is { } faint)
                yield return Found(look, Severity.Caution, $"a picture at {Typed.Show((decimal)faint.Strength * 100, " %")}",
                    $"{Typed.Show(least, " %")} or more", "All of it is lighter than holds on its paper.",
                    "Print it stronger, or take it away.", drawn.Frame.ToBox());
            var odd = MarkLeaves.Of(drawn.Marks).OfType<FillMark>().Where(f => f.Finish is null)
                .SelectMany(f => (int[])[f.Ink.C, f.Ink.M, f.Ink.Y, f.Ink.K])
                .Where(t => t > 0 && (t < least * 100 || t is > 9000 and < 10_000)).Distinct().ToList();
            if (odd.Count == 0) continue;
            var tint = odd.Min() / 100m;
            yield return tint < least
                ? Found(look, Severity.Caution, $"a tint of {Typed.Show(tint, " %")}", $"{Typed.Show(least, " %")} " +
                    $"or more",
                    "A lighter tint than this breaks off on its paper.", "Make it darker, or leave it white.",
                        drawn.Frame.ToBox())
                : Found(look, Severity.Note, $"a tint of {Typed.Show(tint, " %")}", "up to 90 %, or solid",
                    "A tint this dark closes up to solid.", "Make it solid.", drawn.Frame.ToBox());
        }
    }
}

/// <summary>More ink than the inside's paper takes.</summary>
public sealed class PageInk : PageRule
{
    public override string Id => "page.ink";
    public override string Proves => "no page has more ink than its paper takes";

    public override IEnumerable<Finding> Find(PageLook look)
    {
        var limit = look.House.Inside.InkLimit;
        var most = look.Scene.Items.SelectMany(p => p.Marks).SelectMany(MarkInks.Of).Select(i => i.Total).DefaultIfEmpty(0)
            .Max();
        if (most > limit)
            yield return Found(look, Severity.Stop, Typed.Show(most, " %"), $"{Typed.Show(limit, " %")} in all",
                "So much ink does not dry, and prints off on the page that lies on it.", "Take a lighter mix.");
    }
}
