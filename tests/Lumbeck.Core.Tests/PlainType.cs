namespace Lumbeck.Core.Tests;

/// <summary>
/// Type that can be reckoned in the head: every letter is a box half an em wide and 0.7 em high; Q is missing; “fi” is
/// a ligature.
/// </summary>
internal sealed class PlainType : IType
{
    public static readonly FaceId Face = new("plain", 400, false);

    public IReadOnlyList<FaceId> Faces => [Face, BarcodeDrawing.Digits];
    public string NameOf(FaceId face) => "Plain";
    public FaceMetrics Metrics(FaceId face) => new(1000, 800, 200, 700);

    public ShapedRun Shape(FaceId face, string text, int from, int length, ShapingProperties how)
    {
        var ligatures = !how.Features.Contains("-liga", StringComparison.Ordinal);
        var glyphs = new List<ShapedGlyph>();
        for (var i = from; i < from + length; i++)
        {
            var ligature = ligatures && i + 1 < from + length && text.AsSpan(i).StartsWith("fi");
            glyphs.Add(new(text[i] == 'Q' ? (ushort)0 : ligature ? (ushort)9999 : text[i], i, how.Vertical ? 1000 : 500,
                0, 0));
            if (ligature) i++;
        }
        if (how.RightToLeft) glyphs.Reverse();
        return new([.. glyphs], how.RightToLeft);
    }

    public bool Has(FaceId face, System.Text.Rune letter) => letter.Value != 'Q' && letter.Value < 0x3000;

    public FaceId? Instead(FaceId face, System.Text.Rune letter) =>
        letter.Value >= 0x3000 ? BarcodeDrawing.Digits : null;

    public Outline Glyph(FaceId face, ushort glyph) => glyph == ' ' ? Outline.Empty : Outline.Rectangle(0, 0, 500, 700);
}

/// <summary>A small job to try things on.</summary>
internal static class Sample
{
    public static TextStyle Style(decimal size) => new() { Face = PlainType.Face, Size = Length.FromPoints(size) };

    public static TextItem Text(string id, string words, TextRole role = TextRole.Free, Part panel = Part.Front,
        HoldBox box = HoldBox.Safe, Anchor anchor = Anchor.Middle, decimal size = 12, decimal wide = 3,
        decimal high = 0.5m, decimal dx = 0, decimal dy = 0) => new()
        {
            Id = id,
            Words = words,
            Role = role,
            Hold = new(panel, box, anchor, Length.FromInches(dx), Length.FromInches(dy)),
            Width = new(Length.FromInches(wide)),
            Height = new(Length.FromInches(high)),
            Style = Style(size),
        };

    public static Job Job(params Item[] items) => new(
        new Ticket
        {
            Title = "Salt",
            Author = "A. Vane",
            House = HouseFile.Shipped["tern"],
            Paper = HouseFile.Shipped["tern"].Papers[0],
            Pages = 312,
            Unit = Unit.Inch,
            Isbn = Isbn("9780000000002"),
        },
        [new Swatch("sea", "Sea", Ink.Percent(80, 40, 20, 10))],
        [new Wrap("cover",
            [new Take("first", "first", new Fill(new SwatchPaint("sea")),
                [Text("title", "Salt", TextRole.Title, dy: -1), Text("author", "A. Vane", TextRole.Author), .. items])],
            "first")]);

    public static Isbn Isbn(string digits) =>
        Core.Trade.Barcodes.Isbn.TryParse(digits, out var i, out var why) ? i : throw new ArgumentException(why);

    public static Scene Scene(Job job) => SceneBuilder.Build(job, job.Sheets()[0], new PlainType());

    public static ImmutableArray<Finding> Check(Job job) =>
        Rules.Check(job.Sheets().Select(s => new CheckContext(job, s, SceneBuilder.Build(job, s, new PlainType()))));
}
