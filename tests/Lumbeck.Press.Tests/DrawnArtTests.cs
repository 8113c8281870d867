using Lumbeck.Press.Colour;
using Lumbeck.Press.Faces;
using Lumbeck.Press.Plates;
using Lumbeck.Press.Tests.ByChance;
using Lumbeck.Tests.ByChance;

namespace Lumbeck.Press.Tests;

/// <summary>
/// Ornaments and vistas: the same for a seed, within their boxes and bounds, printed as they are seen.
/// </summary>
public sealed class DrawnArtTests(RandomDesk random) : IClassFixture<RandomDesk>
{
    public static TheoryData<string> OrnamentWords() => [.. OrnamentShelf.All.Select(o => o.Word)];

    public static TheoryData<string> VistaWords() => [.. VistaShelf.All.Select(v => v.Word)];

    [Theory]
    [MemberData(nameof(OrnamentWords))]
    public void An_ornament_fills_its_box_whatever_its_settings(string word)
    {
        var first = OrnamentShelf.All.First(o => o.Word == word).First;
        for (var seed = 1; seed <= 6; seed++)
        {
            var r = new Chance((seed * 97) + word.Length);
            var ornament = (Ornament)Varied(first, r);
            // Every setting can be carried by JSON and by edits.
            JobJson.Read(JobJson.Write(Job(new OrnamentItem { Id = "o", Hold = Middle, Ornament = ornament })))
                .Item("o").ShouldBeOfType<OrnamentItem>().Ornament.ShouldBe(ornament);
            var (w, h) = (first.First.Wide * r.From(50, 200) / 100, first.First.High * r.From(50, 200) / 100);
            var drawn = ornament.Draw(w, h).ToList();
            string.Join('\n', drawn.Select(Said))
                .ShouldBe(string.Join('\n', ornament.Draw(w, h).Select(Said)), "it is determined");
            var reach = drawn.SelectMany(Outlines).Aggregate(Bounds.None, (all, o) => all.Union(o.Bounds));
            reach.IsEmpty.ShouldBeFalse(word);
            // Leaves and curls may reach a little beyond, as a pen does.
            var room = 0.2 * Math.Max(w, h);
            reach.Left.ShouldBeGreaterThan(-room, word);
            reach.Top.ShouldBeGreaterThan(-room, word);
            reach.Right.ShouldBeLessThan(w + room, word);
            reach.Bottom.ShouldBeLessThan(h + room, word);
            drawn.SelectMany(Outlines).Sum(o => o.Points.Length / 2).ShouldBeLessThan(20_000);
        }
        SketchDrawing.Draw(new OrnamentItem { Id = "o", Hold = Middle, Ornament = first }, [],
            new(new(0, 0, 0, 20), Bounds.None, null))
            .ShouldBeEmpty();
    }

    /// <summary>
    /// On a paperback, a case, a jacket that reads from the right, and a square book: words can be read on the head of
    /// the front, where a title stands, and on the back, in black or in white.
    /// </summary>
    [Theory]
    [MemberData(nameof(VistaWords))]
    public void A_vista_leaves_calm_where_words_stand_on_every_binding(string word)
    {
        var painter = new PlatePainter(new FaceShelf(), null, new PrintingCondition("coated-fogra39-300"));
        var first = VistaShelf.All.First(v => v.Word == word).First;
        foreach (var (binding, trim, language) in ((BindingKind, Size, string)[])
            [(BindingKind.Paperback, Size.FromMillimetres(140, 210),
                "en"), (BindingKind.Case, Size.FromMillimetres(150, 220), "en"),
                (BindingKind.Jacket, Size.FromMillimetres(140, 215), "ar"),
                    (BindingKind.Paperback, Size.FromMillimetres(210, 210), "en")])
        {
            var seed = (Seed)(trim.Width.Units.GetHashCode() & 7);
            var job = new SetLanguage(language)
                .Apply(new SetTrim(trim).Apply(new SetBinding(binding).Apply(Job(HouseFile.Shipped[binding == BindingKind.Paperback
                    ? "tern" : "aldwater"], new VistaItem
                    {
                        Id = "v",
                        Hold = new(Part.Sheet, HoldBox.Edge, Anchor.TopLeft, default, default),
                        Width = Span.Full,
                        Height = Span.Full,
                        Vista = first with { Seed = first.Seed.Next((int)seed) },
                    }))));
            var on = random.On(job);
            var scene = on.Composed.Sheets[0].Scene;
            var marks = scene.Items[1].Marks.Sum(Points);
            marks.ShouldBeInRange(100, 60_000, $"{word} on {binding}");
            foreach (var (part, from, to) in ((Part, double, double)[])[(Part.Front, 0.06, 0.3),
                (Part.Back, 0.06, 0.4)])
            {
                var face = on.Composed.Sheets[0].Sheet.Panel(part)!.Face;
                var (w, h) = (face.Width.Points, face.Height.Points);
                var window = new Bounds(face.X.Points + (0.12 * w), face.Y.Points + (from * h),
                    face.X.Points + (0.88 * w), face.Y.Points + (to * h));
                using var seen = painter.Paint(scene, window, 20, likeness: true).ToScreen(new("coated-fogra39-300"));
                var light = seen.WriteToMemory<byte>().Chunk(seen.Bands).Select(p => Luminance(p)).Order().ToList();
                // Nineteen of twenty pixels; a star or a twig between letters keeps nobody from reading.
                var (dark, bright) = (light[light.Count / 40], light[light.Count * 39 / 40]);
                Math.Max(1.05 / (bright + 0.05), (dark + 0.05) / 0.05)
                    .ShouldBeGreaterThan(4.5, $"{word} on {binding}, {part}");
            }
        }
    }

    [Fact, Wide]
    public void Ornaments_and_vistas_print_as_they_are_seen()
    {
        var scenes = new List<Scene>();
        var job = random.Jobs.Small(3) with { Swatches = [] };
        job = job.With(0, job.Wraps[0].Take with { Items = [] });
        foreach (var (word, first) in VistaShelf.All)
            scenes.Add(Scene(job, new VistaItem
            {
                Id = "v",
                Hold = new(Part.Sheet, HoldBox.Edge, Anchor.TopLeft, default, default),
                Width = Span.Full,
                Height = Span.Full,
                Vista = first,
            }));
        foreach (var five in OrnamentShelf.All.Chunk(6))
            scenes.Add(Scene(job, [.. five.Select((o, n) => (Item)new OrnamentItem
            {
                Id = $"o{n}", Ornament = o.First, Flip = (Flip)(n % 4),
                Hold = new(Part.Front, HoldBox.Face, Anchor.TopLeft, Length.FromMillimetres(4 + (n % 2 * 48)),
                    Length.FromMillimetres(4 + (n / 2 * 46))),
                Width = new(Length.FromMillimetres(40)), Height = new(Length.FromMillimetres(40)),
            })]));
        random.Differs(job.Ticket.House, scenes).ShouldBeEmpty();
    }

    private static readonly Hold Middle = new(Part.Front, HoldBox.Face, Anchor.Middle, default, default);

    private static Job Job(Item item) => Job(HouseFile.Shipped["aldwater"], item);

    private static Job Job(House house, Item item) => new AddItem(item).Apply(Starters.Job(house, "Drawn"));

    private Scene Scene(Job job, params Item[] items) =>
        random.On(job.With(0, job.Wraps[0].Take with { Items = [.. items] })).Composed.Sheets[0].Scene;

    /// <summary>Every figure anywhere within its range.</summary>
    private static Sketch Varied(Sketch sketch, Chance r)
    {
        sketch = sketch with { Seed = new((ulong)r.From(0, 1_000_000) * 7_919_000_003) };
        foreach (var field in sketch.Fields)
        {
            if (field.Range is not { } range) continue;
            var value = Math.Round(range.Least + ((range.Most - range.Least) * r.From(0, 100) / 100), 2);
            sketch = sketch.With(field.Key, new(Number: value), "");
            var over = range.Most + 1;
            Should.Throw<Refusal>(() => sketch.With(field.Key, new(Number: over), "at")).Message.ShouldContain("from ");
        }
        sketch.IsSound.ShouldBeTrue();
        return sketch;
    }

    private static IEnumerable<Outline> Outlines(Core.Art.Sketches.Drawn drawn) => drawn switch
    {
        Area a => [a.Shape],
        Core.Art.Sketches.Line l => [l.Shape],
        Graded g => [g.Shape],
        Repeated r => r.Places.SelectMany(p => r.Symbol.SelectMany(Outlines).Select(o => o.Under(p))),
        _ => [],
    };

    private static string Said(Core.Art.Sketches.Drawn drawn) =>
        string.Join(' ', Outlines(drawn).SelectMany(o => o.Points));

    private static int Points(Mark mark) => mark switch
    {
        FillMark f => f.Shape.Points.Length / 2,
        LineMark l => l.Shape.Points.Length / 2,
        GradientMark s => s.Shape.Points.Length / 2,
        DrawingMark d => d.Marks.Sum(Points),
        RepeatedMark r => r.Symbol.Sum(Points),
        _ => 0,
    };

    /// <summary>Relative luminance (WCAG 2.2).</summary>
    private static double Luminance(byte[] p)
    {
        static double linear(byte v) =>
            v / 255.0 is var c && c <= 0.03928 ? c / 12.92 : Math.Pow((c + 0.055) / 1.055, 2.4);
        return (0.2126 * linear(p[0])) + (0.7152 * linear(p[1])) + (0.0722 * linear(p[2]));
    }
}
