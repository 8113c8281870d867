using Length = Lumbeck.Core.Measures.Length;
using Size = Lumbeck.Core.Measures.Size;

namespace Lumbeck.Desk.Demo;

/// <summary>A novel: paperback, in inches.</summary>
internal static class Tidewatcher
{
    private static Length Pt(decimal points) => Length.FromPoints(points);
    private static Length In(decimal inches) => Length.FromInches(inches);
    private static Hold At(Part panel, Anchor anchor, decimal dx = 0, decimal dy = 0, HoldBox box = HoldBox.Safe) =>
        new(panel, box, anchor, In(dx), In(dy));

    public static IEnumerable<Edit> Edits()
    {
        yield return new SetTrim(Size.FromInches(5.25m, 8));
        yield return new SetPages(312);
        yield return new SetFact(TicketFact.Subtitle, "a novel");
        yield return new SetFact(TicketFact.Author, "Ines Kallweit");
        yield return new SetFact(TicketFact.Imprint, "Skerry & Vane");
        yield return new SetIsbn("9780000000002");
        yield return new SetFact(TicketFact.Finish, "matt");
        yield return new AddSwatch(new("estuary", "Estuary", Ink.Percent(82, 38, 56, 32)));
        yield return new AddSwatch(new("deep", "Deep water", Ink.Percent(86, 48, 62, 52)));
        yield return new AddSwatch(new("sailcloth", "Sailcloth", Ink.Percent(4, 6, 14, 0)));
        yield return new AddSwatch(new("brass", "Brass", Ink.Percent(18, 36, 78, 4)));
        yield return new AddSwatch(new("shallows", "Shallows", Ink.Percent(72, 30, 48, 20)));
        yield return new PaintGround(new SwatchPaint("estuary"));
        yield return new LayPattern(new ContourLines { Seed = 41, Paints = [new SwatchPaint("shallows")] });

        yield return new AddItem(new RectItem
        {
            Id = "spine-band",
            Hold = At(Part.Spine, Anchor.Middle, box: HoldBox.Edge),
            Width = Span.Full,
            Height = Span.Full,
            Fill = new SwatchPaint("deep")
        });

        var cormorant = new FaceId("cormorant-garamond", 600, false);
        TextStyle sail(FaceId face, decimal size, Align align = Align.Centre, int tracking = 0, decimal leading = 1.2m,
            Stand stand = Stand.Head, string swatch = "sailcloth") =>
            new()
            {
                Face = face,
                Size = Pt(size),
                Paint = new SwatchPaint(swatch),
                Align = align,
                Tracking = tracking,
                Leading = leading,
                Stand = stand
            };

        yield return new AddItem(new TextItem
        {
            Id = "title",
            Role = TextRole.Title,
            Words = "The\nTidewatcher’s\nLedger",
            Hold = At(Part.Front, Anchor.Top, 0, 0.5m),
            Width = Span.Full,
            Height = new(In(2.5m)),
            Style = sail(cormorant, 60, leading: 0.86m),
            Fit = Fitting.Shrink
        })
            .Run("The\n", new() { Face = new FaceId("cormorant-garamond", 400, true), Size = Pt(34), Leading = 1 });
        yield return new AddItem(new RectItem
        {
            Id = "title-rule",
            Hold = At(Part.Front, Anchor.Top, 0, 2.96m),
            Width = new(In(1.1m)),
            Height = new(Pt(1.4m)),
            Fill = new SwatchPaint("brass")
        });
        yield return new AddItem(new TextItem
        {
            Id = "line",
            Role = TextRole.Subtitle,
            Words = "a novel",
            Hold = At(Part.Front, Anchor.Top, 0, 3.08m),
            Width = new(In(3)),
            Height = new(In(0.36m)),
            Style = sail(new("cormorant-garamond", 400, true), 18)
        });
        yield return new AddItem(new TextItem
        {
            Id = "author",
            Role = TextRole.Author,
            Words = "INES KALLWEIT",
            Hold = At(Part.Front, Anchor.Bottom, 0, -0.3m),
            Width = Span.Full,
            Height = new(In(0.42m)),
            Style = sail(new("cormorant-garamond", 600, false), 20, tracking: 160)
        });

        yield return Lay.Spine("spine-title", TextRole.Title, "The Tidewatcher’s Ledger", "cormorant-garamond/600",
            "sailcloth");
        yield return Lay.Spine("spine-author", TextRole.Author, "KALLWEIT", "cormorant-garamond/600", "sailcloth", 120);
        yield return Lay.Spine("spine-imprint", TextRole.Imprint, "S & V", "cormorant-garamond/600", "sailcloth", 60);

        yield return new AddItem(new TextItem
        {
            Id = "lead",
            Words = "Every harbour keeps two books.",
            Hold = At(Part.Back, Anchor.TopLeft, 0.2m, 0.62m),
            Width = new(In(4.1m)),
            Height = new(In(0.4m)),
            Style = sail(new("cormorant-garamond", 400, true), 21, Align.Left)
        });
        yield return new AddItem(new TextItem
        {
            Id = "blurb",
            Role = TextRole.Blurb,
            Words = "In one the pilots write what the water did. In the other, locked in the tide house, Maren Voss " +
                "writes what it brought: a door, a child’s shoe, eleven letters addressed to people not yet " +
                "born.\nWhen the sea leaves the estuary one October morning and does not come back, the town asks " +
                "for the second book, and learns who has been writing in it after her.",
            Hold = At(Part.Back, Anchor.TopLeft, 0.2m, 1.16m),
            Width = new(In(4.25m)),
            Height = new(In(2.1m)),
            Style = sail(new("eb-garamond", 400, false), 12, Align.Justified,
                leading: 1.48m) with
            { Hyphenate = true, Features = "onum" },
        }).Run("In one the pilots", new()
        {
            Case = LetterCase.SmallCaps,
            Tracking = 30
        }).Run("When the sea leaves", new() { Indent = Pt(15) });
        yield return new AddItem(new RectItem
        {
            Id = "back-rule",
            Hold = At(Part.Back, Anchor.TopLeft, 0.2m, 3.34m),
            Width = new(In(0.6m)),
            Height = new(Pt(1.4m)),
            Fill = new SwatchPaint("brass")
        });
        yield return new AddItem(new TextItem
        {
            Id = "praise",
            Words = "“A book with salt in its hinges.”",
            Hold = At(Part.Back, Anchor.TopLeft, 0.2m, 3.5m),
            Width = new(In(4.1m)),
            Height = new(In(0.36m)),
            Style = sail(new("cormorant-garamond", 400, true), 17, Align.Left)
        });
        yield return new AddItem(new TextItem
        {
            Id = "imprint",
            Role = TextRole.Imprint,
            Words = "SKERRY & VANE",
            Hold = At(Part.Back, Anchor.BottomLeft, 0.2m, -0.02m),
            Width = new(In(1.8m)),
            Height = new(In(0.22m)),
            Style = sail(cormorant, 10.5m, Align.Left, 180, 1, Stand.Foot)
        });
        yield return new AddItem(new BarcodeItem
        {
            Id = "barcode",
            Hold = new(Part.Back, HoldBox.Room, Anchor.BottomRight, default, default)
        });
    }
}
