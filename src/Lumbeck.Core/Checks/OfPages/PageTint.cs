namespace Lumbeck.Core.Checks.OfPages;

/// <summary>Tints too light to hold, or so dark that they close up.</summary>
public sealed class PageTint : PageRule
{
    public override string Id => "page.tint";
    public override string Proves => "tints hold on the page’s paper";

    protected override IEnumerable<Finding> Look(PageLook look)
    {
        var least = look.House.Inside.TintLeast;
        foreach (var drawn in look.Scene.Items)
        {
            if (drawn.Marks.OfType<PictureMark>().FirstOrDefault(p => p.Strength < 1 && (decimal)p.Strength * 100 < least) is { } faint)
                yield return new()
                {
                    Severity = Severity.Caution,
                    Measured = $"a picture at {Typed.Show((decimal)faint.Strength * 100, " %")}",
                    Limit = $"{Typed.Show(least, " %")} or more",
                    Why = "All of it is lighter than holds on its paper.",
                    Mend = "Print it stronger, or take it away.",
                    Place = drawn.Frame.ToBox(),
                };
            var odd = MarkLeaves.Of(drawn.Marks).OfType<FillMark>().Where(f => f.Finish is null)
                .SelectMany(f => (int[])[f.Ink.C, f.Ink.M, f.Ink.Y, f.Ink.K])
                .Where(t => t > 0 && (t < least * 100 || t is > 9000 and < 10_000)).Distinct().ToList();
            if (odd.Count == 0) continue;
            var tint = odd.Min() / 100m;
            yield return tint < least
                ? new Finding
                {
                    Severity = Severity.Caution,
                    Measured = $"a tint of {Typed.Show(tint, " %")}",
                    Limit = $"{Typed.Show(least, " %")} or more",
                    Why = "A lighter tint than this breaks off on its paper.",
                    Mend = "Make it darker, or leave it white.",
                    Place = drawn.Frame.ToBox(),
                }
                : new Finding
                {
                    Severity = Severity.Note,
                    Measured = $"a tint of {Typed.Show(tint, " %")}",
                    Limit = "up to 90 %, or solid",
                    Why = "A tint this dark closes up to solid.",
                    Mend = "Make it solid.",
                    Place = drawn.Frame.ToBox(),
                };
        }
    }
}

/// <summary>More ink than the inside's paper takes.</summary>
public sealed class PageInk : PageRule
{
    public override string Id => "page.ink";
    public override string Proves => "no page has more ink than its paper takes";

    protected override IEnumerable<Finding> Look(PageLook look)
    {
        var limit = look.House.Inside.InkLimit;
        var most = look.Scene.Items.SelectMany(p => p.Marks).SelectMany(MarkInks.Of).Select(i => i.Total).DefaultIfEmpty(0)
            .Max();
        if (most > limit)
            yield return new()
            {
                Severity = Severity.Stop,
                Measured = Typed.Show(most, " %"),
                Limit = $"{Typed.Show(limit, " %")} in all",
                Why = "So much ink does not dry, and prints off on the page that lies on it.",
                Mend = "Take a lighter mix.",
            };
    }
}
