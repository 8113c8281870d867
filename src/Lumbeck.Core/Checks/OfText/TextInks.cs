namespace Lumbeck.Core.Checks.OfText;

/// <summary>Small words in more than two inks, whose plates never fit to a hair.</summary>
public sealed class TextInks : Rule
{
    private static readonly Length Small = Length.FromPoints(12);

    public override string Id => "text.inks";
    public override string Proves => "small words are in few inks";
    protected override bool Limited => false;

    protected override IEnumerable<Finding> Look(CheckContext look)
    {
        foreach (var (item, drawn) in look.Drawn())
        {
            // A rich black has its own rule.
            if (item is not TextItem text || InkBlack.IsRichAndSmall(text, look.Job.Swatches)) continue;
            foreach (var run in drawn.Layout?.Lines.SelectMany(l => l.Runs).Where(r =>
                r.Size < Small.Points && r.Glyphs.Length > 0 && r.Paint is not FinishPaint)
                ?? [])
            {
                var ink = run.Paint.Resolve(look.Job.Swatches);
                // A trace of an ink shows no edge.
                var inks = ((int[])[ink.C, ink.M, ink.Y, ink.K]).Count(i => i > 1500);
                if (inks <= 2 || ink.C + ink.M + ink.Y + ink.K < 6000 || Stands(ink)) continue;
                yield return new()
                {
                    Severity = Severity.Caution,
                    Measured = $"{inks} inks at {Length.FromDrawing(run.Size).ShowPoints()}",
                    Limit = $"two under {Small.ShowPoints()}",
                    Why = "Plates never fit to a hair, and small words in several inks then show coloured edges.",
                    Mend = "Take an ink of two plates, black among them, or set them larger.",
                    Of = item,
                    Place = drawn.Inked.ToBox(),
                    Fix = Mending.Paint(look, text, Fewer),
                };
                break;
            }
        }
    }

    /// <summary>Mostly black: what the other plates add is not seen beside it.</summary>
    private static bool Stands(Ink ink) => ink.K >= 5000 && Math.Max(ink.C, Math.Max(ink.M, ink.Y)) <= 6000;

    /// <summary>The two strongest plates, the others’ share given to black.</summary>
    private static Ink Fewer(Ink ink)
    {
        var least = Math.Min(ink.C, Math.Min(ink.M, ink.Y));
        var gray = new Ink(ink.C - least, ink.M - least, ink.Y - least, Math.Min(10_000, ink.K + least));
        var strongest = Math.Max(gray.C, Math.Max(gray.M, gray.Y));
        return new(gray.C == strongest ? gray.C : 0, gray.M == strongest ? gray.M : 0, gray.Y == strongest ? gray.Y : 0,
            gray.K);
    }
}
