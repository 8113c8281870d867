using System.Text;
using Lumbeck.Pdf.Colours;
using Lumbeck.Pdf.Content;
using Lumbeck.Pdf.Reading;
using Lumbeck.Press.Tests.Import;

namespace Lumbeck.Press.Tests.TypedPdf;

/// <summary>Content as the interpreter reads it: one state, by the standard's rules, within bounds.</summary>
public sealed class InterpreterTests : IDisposable
{
    private readonly Folder _folder = new();

    public void Dispose() => _folder.Dispose();

    private sealed class Kept(bool goesOn) : IContentReader
    {
        public List<(Operator Op, GraphicsState State)> All { get; } = [];
        public List<string> Bad { get; } = [];

        public void Do(Operation operation, GraphicsState before, GraphicsState now) => All.Add((operation.Op, now));

        public bool Unreadable(Operation operation, GraphicsState now, string why)
        {
            Bad.Add($"{operation.Op}: {why}");
            return goesOn;
        }
    }

    private Kept Read(string content, string resources = "", bool goesOn = true)
    {
        var path = _folder["page.pdf"];
        File.WriteAllBytes(path, new HandMade().Page("", resources));
        using var file = PdfFile.Open(path, default);
        var kept = new Kept(goesOn);
        new ContentInterpreter(Encoding.Latin1.GetBytes(content), file, new(file),
            file.Dict(file.Pages[0], "Resources")).Run(kept);
        return kept;
    }

    [Fact]
    public void Every_operator_of_the_standard_is_known_by_its_token_and_by_its_name()
    {
        // ISO 32000-2, annex A: 73 of them.
        var all = Enum.GetValues<Operator>().Where(o => o != Operator.Unknown).ToList();
        all.Count.ShouldBe(73);
        all.Select(o => Encoding.ASCII.GetString(o.Token())).Distinct().Count().ShouldBe(73);
        foreach (var op in all) Operators.Of(op.Token()).ShouldBe(op);
        Operators.Of("xx"u8).ShouldBe(Operator.Unknown);
        all.Where(o => o.PaintsPath()).Select(o => Encoding.ASCII.GetString(o.Token()))
            .ShouldBe(["S", "s", "f", "F", "f*", "B", "B*", "b", "b*"], ignoreOrder: true);
        all.Where(o => o.Strokes()).Select(o => Encoding.ASCII.GetString(o.Token()))
            .ShouldBe(["S", "s", "B", "B*", "b", "b*"], ignoreOrder: true);
        all.Where(o => o.ShowsText()).Select(o => Encoding.ASCII.GetString(o.Token()))
            .ShouldBe(["Tj", "TJ", "'", "\""], ignoreOrder: true);
    }

    [Fact]
    public void States_are_kept_and_brought_back_and_what_was_never_kept_is_not()
    {
        var read = Read("Q 2 w q 2 0 0 2 10 20 cm 1 0 0 1 5 5 cm 0.2 0.3 0.4 rg 3 Tr /F1 9 Tf n Q S Q",
            "/Font << /F1 << /Type /Font >> >>");
        read.Bad.ShouldBeEmpty();
        var drawn = read.All.Single(a => a.Op == Operator.EndPath).State;
        // What is set last is nearest to what is drawn.
        drawn.Ctm.ShouldBe(new(2, 0, 0, 2, 20, 30));
        (drawn.Text.RenderingMode, drawn.Text.FontSize, drawn.LineWidth).ShouldBe((3, 9.0, 2.0));
        drawn.FillColorSpace.ShouldBe(new RgbColorSpace());
        drawn.FillColor.ShouldBe([0.2, 0.3, 0.4]);
        var after = read.All.Single(a => a.Op == Operator.Stroke).State;
        (after.Ctm, after.LineWidth, after.Text.RenderingMode).ShouldBe((Lumbeck.Pdf.Objects.PdfMatrix.Identity, 2.0, 0));
        after.FillColorSpace.ShouldBeOfType<GrayColorSpace>();
        read.All.Count(a => a.Op == Operator.Restore).ShouldBe(1);
    }

    [Fact]
    public void Parameters_and_spaces_are_as_the_resources_say()
    {
        var read = Read("/G gs /S cs S 0.5 scn f /I cs f 0 0 0 1 K S", "/ExtGState << /G << /OP true /OPM 1 /ca 0.4 /CA 0.6 " +
            "/BM [/Multiply /Normal] /LW 3 >> >> /ColorSpace << /S [/Separation /Sea /DeviceCMYK << /FunctionType 2 " +
            "/Domain [0 1] /N 1 /C0 [0 0 0 0] /C1 [1 0 0 0] >>] /I [/ICCBased 99 0 R] >>");
        var first = read.All.First(a => a.Op == Operator.Stroke).State;
        // What fills follows what strokes where only that is said (table 57).
        (first.OverprintStroke, first.OverprintFill, first.OverprintMode).ShouldBe((true, true, 1));
        (first.FillAlpha, first.StrokeAlpha, first.BlendMode, first.LineWidth).ShouldBe((0.4, 0.6, "Multiply", 3.0));
        // A tint begins at all of it (8.6.6.4).
        first.FillColor.ShouldBe([1.0]);
        var tint = read.All.First(a => a.Op == Operator.Fill).State;
        ((SeparationOrDeviceN)tint.FillColorSpace).Names.ShouldBe(["Sea"]);
        tint.FillColor.ShouldBe([0.5]);
        // A space that can't be read is told, and leaves the one before.
        read.Bad.ShouldHaveSingleItem().ShouldStartWith("FillColorSpace: it holds a colour space");
        read.All.Last(a => a.Op == Operator.Fill).State.FillColorSpace.ShouldBe(tint.FillColorSpace);
        read.All[^1].State.StrokeColorSpace.ShouldBeOfType<CmykColorSpace>();
    }

    [Fact]
    public void A_picture_within_content_is_one_operation_and_its_samples_are_no_words()
    {
        var read = Read("BI /W 2 /H 2 /CS /RGB /BPC 8 ID 0 g Q EI rg EI f");
        read.All.Select(a => a.Op).ShouldBe([Operator.BeginInlineImage, Operator.Fill]);
        read.All[^1].State.FillColorSpace.ShouldBeOfType<GrayColorSpace>();
    }

    [Fact]
    public void States_too_deep_are_refused_where_they_are_and_chance_comes_to_an_end()
    {
        var deep = string.Concat(Enumerable.Repeat("q ", 250));
        Read(deep).Bad.Count.ShouldBe(250 - 201);
        Should.Throw<PdfReadException>(() => Read(deep, goesOn: false)).Message.ShouldContain("deeper");
        var random = new Random(3);
        for (var n = 0; n < Sweep.Many(300, 60, 20); n++)
        {
            var noise = new byte[400];
            random.NextBytes(noise);
            var read = Read(Encoding.Latin1.GetString(noise) + string.Concat(Enumerable.Repeat("[", 60)) + " q 1 w");
            read.All.Count.ShouldBeLessThan(900);
        }
    }
}
