namespace Lumbeck.Press.Pdf;

// Drawn items that let through what lies under them, laid down as one.
internal sealed partial class PdfPainter
{
    /// <summary>
    /// A drawn item that lets through what lies under it: its marks are laid down as one, so that they do not show
    /// through each other. Finishing inks that multiply or screen are laid by themselves: a plate of their own has
    /// nothing to do with the process inks, and is never screened away.
    /// </summary>
    private void Mixed(DrawnItem drawn, Affine toPage)
    {
        var finishes = drawn.StandsAlone ? [.. drawn.Finishes] : (string[])[];
        var screened = drawn.Blend == Blend.Screen;
        IEnumerable<Mark> inks = finishes.Length == 0 ? drawn.Marks : drawn.Marks.Where(m => m.Finish is null);
        if (screened) inks = inks.SelectMany(m => Keeping(m, finishes));
        if (inks.Any())
            Group(drawn, inks, toPage, overprinted: !drawn.StandsAlone || screened, plainly: !drawn.StandsAlone);
        // What lies over a finishing ink and hides it takes it off its plate.
        foreach (var name in finishes)
        {
            var over = drawn.Marks.SkipWhile(m => !screened && m.Finish?.Name != name)
                .Where(m => m.Finish is null || m.Finish.Value.Name == name);
            Group(drawn, over.Select(m => OnPlate(m, name)).OfType<Mark>(), toPage, overprinted: screened,
                plainly: screened);
        }
    }

    /// <summary>
    /// A mark that is screened, and leaves some finishing inks' plates as they are: what is screened with all of an ink
    /// is as it was (11.3.5.2), so it has all of those.
    /// </summary>
    private static IEnumerable<Mark> Keeping(Mark mark, string[] finishes) =>
        [mark, .. finishes.Select(f => OnPlate(Covering(mark), f, 10_000)).OfType<Mark>()];

    private static Mark Covering(Mark mark) =>
        mark is IPlainInk { Plain: { } ink } plain ? plain.With(ink, overprint: false) : mark;

    /// <summary>
    /// A mark as it is on a finishing ink's plate: its tint, or none of it where it hides that (or so much of it); null
    /// for what overprints and leaves it.
    /// </summary>
    private static Mark? OnPlate(Mark mark, string finish, int tint = 0) =>
        mark.Finish is not null ? mark : mark.Accept(new Plating((finish, tint)));

    private sealed class Plating((string Name, int Tint) finish) : IMarkVisitor<Mark?>
    {
        private Mark? Of(Mark mark) => OnPlate(mark, finish.Name, finish.Tint);

        public Mark? Fill(FillMark mark) => mark.Overprint ? null : mark with { Finish = finish };

        public Mark? Gradient(GradientMark mark) =>
            new FillMark(mark.Shape, Ink.White) { EvenOdd = mark.EvenOdd, Finish = finish };

        public Mark? Line(LineMark mark) => mark with { Finish = finish };

        public Mark? Glyphs(GlyphMark mark) => mark is { Overprint: true, Gradient: null } ? null
            : mark with { Gradient = null, Finish = finish };

        public Mark? Blurred(BlurredMark mark) => null;
        public Mark? Picture(PictureMark mark) => mark with { Finish = finish };
        public Mark? Tiles(TilesMark mark) => mark with { Finish = finish };
        public Mark? Grown(GrownMark mark) => mark with { Finish = finish };

        public Mark? Repeated(RepeatedMark mark) =>
            mark with { Symbol = [.. mark.Symbol.Select(Of).OfType<Mark>()], Finish = finish };

        // What it holds is each on the plate by itself.
        public Mark? Drawing(DrawingMark mark) => mark with { Marks = [.. mark.Marks.Select(Of).OfType<Mark>()] };
    }

    private void Group(DrawnItem drawn, IEnumerable<Mark> group, Affine toPage, bool overprinted, bool plainly)
    {
        var (page, fill, overprinting, finishes) = (_s, _fill, _overprinting, _finishesOverprint);
        // A form begins with the state it is drawn in: that is set to what the group begins with.
        (_s, _fill, _overprinting, _finishesOverprint) = (new(), null, false, overprinted);
        foreach (var mark in group) Mark(mark, toPage);
        var marks = _s;
        (_s, _fill, _overprinting, _finishesOverprint) = (page, fill, overprinting, finishes);
        var name = has.Mix(marks, drawn, plainly);
        _s.Save().State("Gk").State(name + "g").XObject(name).Restore().Break();
    }
}
