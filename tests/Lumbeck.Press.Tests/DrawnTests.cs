using Lumbeck.Press.Drawn;

namespace Lumbeck.Press.Tests;

/// <summary>SVG drawings read into marks, and what is refused of them.</summary>
public sealed class DrawnTests(Pressed pressed) : IClassFixture<Pressed>
{
    private static ReadDrawing Read(string svg) =>
        SvgReading.Read(System.Text.Encoding.UTF8.GetBytes(svg), "d.svg",
            rgb =>
                Ink.Percent(Math.Round((255 - rgb.R) / 2.55m), Math.Round((255 - rgb.G) / 2.55m),
                    Math.Round((255 - rgb.B) / 2.55m), 0), Faces);

    private static readonly Faces.FaceShelf Faces = new();

    private const string Begin =
        "<svg xmlns='http://www.w3.org/2000/svg' xmlns:xlink='http://www.w3.org/1999/xlink' viewBox='0 0 100 50'>";

    [Fact]
    public void Shapes_paths_groups_references_and_gradients_become_marks()
    {
        var d = Read(Begin + """
            <style>.a{fill:#ff0000}</style>
            <defs><linearGradient id='g'><stop offset='0' stop-color='white'/><stop offset='100%' stop-color='#000'/></linearGradient>
              <clipPath id='c'><rect width='10' height='10'/></clipPath><g id='leaf'><path d='M0 0L10 0A5 5 0 0 1 10 10z'/></g></defs>
            <rect class='a' x='10' y='5' width='20' height='10'/>
            <g transform='translate(50 0) scale(2)' fill='none' stroke='blue' stroke-width='3'><circle cx='5' cy='5' r='5'/></g>
            <rect fill='url(#g)' width='100' height='50'/>
            <use xlink:href='#leaf' x='5' fill='lime'/>
            <path clip-path='url(#c)' fill-rule='evenodd' d='M0 0h20v20h-20z'/>
            <rect width='5' height='5' display='none'/>
            </svg>
            """);
        (d.Wide, d.High).ShouldBe((4000, 2000));
        // What reaches over the drawing's own edges is cut there.
        var edge = d.Marks.ShouldHaveSingleItem().ShouldBeOfType<DrawingMark>();
        edge.Clip.Bounds.ShouldBe(new Bounds(0, 0, 4000, 2000));
        var marks = edge.Marks;
        marks.Select(m => m.GetType().Name).ShouldBe(["FillMark", "LineMark", "GradientMark", "FillMark", "DrawingMark"]);
        var red = (FillMark)marks[0];
        red.Ink.ShouldBe(Ink.Percent(0, 100, 100, 0));
        red.Shape.Bounds.ShouldBe(new Bounds(400, 200, 1200, 600));
        ((LineMark)marks[1]).Width.ShouldBe(240, 0.01);
        ((GradientMark)marks[2]).Gradient
            .ShouldSatisfyAllConditions(s => s.Transform.At(s.X0, s.Y0).X.ShouldBe(0),
                s => s.Transform.At(s.X1, s.Y1).X.ShouldBe(4000), s => s.Stops.Length.ShouldBe(2));
        ((FillMark)marks[3]).Shape.Strokes.ShouldContain(PathVerb.Quad);
        ((DrawingMark)marks[4]).Marks.Single().ShouldBeOfType<FillMark>().EvenOdd.ShouldBeTrue();
    }

    [Theory]
    [InlineData("<script>alert(1)</script>", "holds a script")]
    [InlineData("<rect onclick='x()' width='1' height='1'/>", "holds a script")]
    [InlineData("<foreignObject/>", "holds a script")]
    [InlineData("<image href='https://example.org/a.png'/>", "holds a `image`")]
    [InlineData("<use href='other.svg#a'/>", "reaches outside its own file, for `other.svg#a`")]
    [InlineData("<use href='file:///etc/passwd'/>", "reaches outside")]
    [InlineData("<style>@import url(http://x)</style><rect width='1' height='1'/>", "style sheet reaches outside")]
    [InlineData("<text rotate='3'>words</text>", "turn that to paths first")]
    [InlineData("<g id='Lettering'><text>Words <tspan text-decoration='underline'>to read</tspan></text></g>",
        "its group “Lettering” holds text with `text-decoration: underline`, “Words to read”")]
    [InlineData("<path id='p' d='M0 0h9'/><text><textPath href='#p'>round</textPath></text>", "holds text along a path")]
    [InlineData("<text>\uE123</text>", "which no face here has")]
    [InlineData("<rect width='5' height='5' fill-opacity='.5'/>", "see-through parts")]
    [InlineData("<rect width='5' height='5' fill='url(#none)'/>", "is not in it")]
    [InlineData("<g id='a'><use href='#a'/></g>", "refer to each other without end")]
    [InlineData("<path d='M0 0 L nonsense'/>", "a path of it can’t be read")]
    [InlineData("<rect width='5' height='5' fill='lch(1 2 3)'/>", "the colour `lch(1 2 3)` can’t be read")]
    [InlineData("<rect width='5' height='5' fill='rgba(9,9,9,.5)'/>", "see-through colour")]
    [InlineData("<rect width='5' height='5' filter='url(#f)'/>", "`filter: url(#f)` is not read")]
    [InlineData("<rect width='5' height='5' style='mask:url(#m)'/>", "`mask: url(")]
    [InlineData("<rect width='5' height='5' style='mix-blend-mode:multiply'/>",
        "`mix-blend-mode: multiply` is not read")]
    [InlineData("<rect width='5' height='5' vector-effect='non-scaling-stroke'/>",
        "`vector-effect: non-scaling-stroke` is not read")]
    [InlineData("<filter id='f'/><rect width='5' height='5'/>", "holds a `filter`")]
    [InlineData("<hatch/>", "holds a `hatch`")]
    [InlineData("<style>rect:nth-child(2){fill:red}</style><rect width='5' height='5'/>", "the selector `:nth-child(")]
    [InlineData("<style>@media (min-width:5px){rect{fill:red}}</style><rect width='5' height='5'/>",
        "depends on `@media (min-width: 5px)`")]
    [InlineData("<rect width='5em' height='5'/>", "in a unit that is not read")]
    [InlineData("<path d='M0 0h9' stroke='red' stroke-linejoin='arcs'/>", "joined by `arcs`")]
    [InlineData("<rect width='5' height='5' clip-path='circle(3px)'/>", "clipped by `circle(3px)`")]
    [InlineData("", "nothing in it is drawn")]
    public void What_would_print_otherwise_or_reaches_outside_is_refused_by_name(string within, string says) =>
        Should.Throw<Refusal>(() => Read(Begin + within + "</svg>")).Message
            .ShouldSatisfyAllConditions(m => says.Split('|').Any(m.Contains).ShouldBeTrue(m),
                m => m.ShouldStartWith("d.svg"));

    /// <summary>Words are set in faces that ship; what asks for another is told with what it got.</summary>
    [Fact]
    public void A_face_that_is_not_here_is_told()
    {
        var read = Read(Begin + "<text y='20' font-family='Nowhere Sans, sans-serif'>words</text>" +
            "<text y='40' style='font:italic 12px EB Garamond'>more</text></svg>");
        read.Faces.ShouldBe([("Nowhere Sans", new FaceId("work-sans", 400, false))]);
        read.Marks.OfType<FillMark>().Count().ShouldBe(2);
    }

    /// <summary>Text that nobody sees is no matter: it is left out with the group that hides it.</summary>
    [Theory]
    [InlineData("<g display='none'><text>words</text></g>")]
    [InlineData("<style>.off{display:none}</style><g class='off'><g><text>words</text></g></g>")]
    [InlineData("<g visibility='hidden'><text>words</text></g>")]
    [InlineData("<g opacity='0'><text>words</text></g>")]
    [InlineData("<defs><text id='t'>words</text></defs>")]
    public void Text_that_is_hidden_is_left_out(string hidden) =>
        Read(Begin + hidden + "<rect width='5' height='5'/></svg>").Marks.ShouldHaveSingleItem().ShouldBeOfType<FillMark>();

    [Fact]
    public void Entities_that_would_grow_without_end_are_not_followed()
    {
        var bomb = "<!DOCTYPE svg [<!ENTITY a 'aaaaaaaaaa'>" + string.Concat(Enumerable.Range(0, 20)
            .Select(i => $"<!ENTITY b{i} '&a;&a;&a;'>")) + "]>" + Begin + "<title>&b19;</title><rect width='1' height='1'/></svg>";
        Should.Throw<Refusal>(() => Read(bomb)).Message.ShouldContain("no sound SVG");
        var leaves = "<g id='r0'/>" + string.Concat(Enumerable.Range(1, 20)
            .Select(i => $"<g id='r{i}'>{string.Concat(Enumerable.Repeat($"<use href='#r{i - 1}'/>", 10))}</g>"));
        Should.Throw<Refusal>(() => Read(Begin + leaves + "</svg>"))
            .Message.ShouldContain("references lead to more than");
        Should.Throw<Refusal>(() => Read(Begin + $"<style>{new string('a', 2_000_000)}</style></svg>")).Message
            .ShouldContain("over 400000 letters");
        Should.Throw<Refusal>(() =>
            Read(Begin + $"<rect width='1' height='1' transform='{new string('a', 500_000)}'/></svg>"))
            .Message
            .ShouldContain("over 2000 letters");
        Should.Throw<Refusal>(() => Read("<svg viewBox='0 0 0 5'/>"))
            .Message.ShouldContain("its viewBox shows nothing");
        Should.Throw<Refusal>(() =>
            Read(Begin + string.Concat(Enumerable.Repeat("<rect width='1' height='1'/>",
                SvgReading.MostShapes + 1)) + "</svg>"))
            .Message
            .ShouldContain("20000 shapes");
    }

    [Fact]
    public void What_would_hold_a_core_for_minutes_is_refused_before_it_is_read()
    {
        var selectors = string.Join(',', Enumerable.Range(0, 20_000).Select(i => $".c{i} .d{i}"));
        Should.Throw<Refusal>(() =>
            Read(Begin + $"<style>{selectors}{{fill:red}}</style><rect width='1' height='1'/></svg>"))
            .Message
            .ShouldContain("more than 4000 selectors");
        static string many(string tag) => string.Concat(Enumerable.Repeat(tag, 100_000));
        Should.Throw<Refusal>(() => Read($"{Begin}{many("<g>")}{many("</g>")}</svg>")).Message
            .ShouldContain("deep in each other");
        Should.Throw<Refusal>(() =>
            Read(Begin + $"<rect {string.Concat(Enumerable.Range(0, 200_000).Select(i => $"a{i}='' "))}/></svg>"))
            .Message
            .ShouldContain("200000 attributes");
        using var gone = new CancellationTokenSource();
        gone.Cancel();
        Should.Throw<OperationCanceledException>(() =>
            SvgReading.Read(System.Text.Encoding.UTF8.GetBytes(Begin + string.Concat(Enumerable.Repeat("<rect width='1' height='1'/>",
                5000)) + "</svg>"),
                "d.svg", _ => Ink.Black, Faces, gone.Token));
    }

    [Fact]
    public async Task A_drawing_is_taken_in_hung_tiled_and_leaves_as_paths()
    {
        var svg = Begin + "<circle cx='50' cy='25' r='20' fill='#0a5c8a'/></svg>";
        var picture =
            await pressed.Desk.Drawer.Pictures.TakeIn(new MemoryStream(System.Text.Encoding.UTF8.GetBytes(svg)),
            "disc.svg", default);
        (picture.IsDrawing, picture.Opaque).ShouldBe((true, false));
        var job = Starters.Job(HouseFile.Shipped["tern"], "Drawn");
        var item = new PictureItem
        {
            Id = "d",
            Hold = new(Part.Front, HoldBox.Face, Anchor.Middle, default, default),
            Width = new(Length.FromInches(4)),
            Height = new(Length.FromInches(2)),
            Picture = picture,
        };
        job = new AddItem(item).Apply(job);
        var composed = pressed.Desk.Jobs.Worked(0, job);
        var mark = composed.Sheets[0].Scene.Item("d")!.Marks.Single().ShouldBeOfType<DrawingMark>();
        var disc = mark.Marks.Single().ShouldBeOfType<FillMark>();
        (disc.Shape.Bounds.Right - disc.Shape.Bounds.Left).ShouldBe(0.4 * 4 * 72, 0.5);
        composed.Findings.ShouldNotContain(f => f.Id == "picture.resolution");
        var tiled = pressed.Desk.Jobs.Worked(0,
            new TilePicture("d", new(TilingMode.Brick, Length.FromInches(1))).Apply(job))
            .Sheets[0].Scene.Item("d")!.Marks.Single()
            .ShouldBeOfType<DrawingMark>();
        tiled.Marks.Length.ShouldBeGreaterThan(15);
        var file = pressed.Press(job, "drawn.pdf");
        Tool.Run("qpdf", "--check", file).ShouldContain("No syntax or stream encoding errors found");
        Tool.Run("pdfimages", "-list", file).Split('\n', StringSplitOptions.RemoveEmptyEntries).Length.ShouldBe(2);
        Should.Throw<Refusal>(() => new GrowPicture("d", new(GrowWay.Mirror)).Apply(job)).Message
            .ShouldContain("stretch its frame instead");
    }
}
