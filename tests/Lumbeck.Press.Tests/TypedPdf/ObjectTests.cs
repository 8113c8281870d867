using System.Buffers;
using System.Text;
using Lumbeck.Pdf.Objects;
using Lumbeck.Pdf.Reading;
using Lumbeck.Pdf.Writing;

namespace Lumbeck.Press.Tests.TypedPdf;

/// <summary>Objects as they are written, read back by a library and judged by qpdf.</summary>
public sealed class ObjectTests : IDisposable
{
    private readonly Folder _folder = new();

    public void Dispose() => _folder.Dispose();

    private static string Written(PdfObject o)
    {
        var to = new ArrayBufferWriter<byte>();
        PdfSyntax.Write(to, o);
        return Encoding.Latin1.GetString(to.WrittenSpan);
    }

    /// <summary>The quick way to write a number has the digits that the library's own has.</summary>
    [Fact]
    public void A_number_is_written_as_the_library_rounds_it()
    {
        var random = new Random(9);
        double[] odd = [0, -0.0, 0.00004, 0.00005, -0.00005, 0.99995, 1e-9, 1, -1, 10, 999_999.9999, 1e11, 12_345_678_901.5,
            0.1, 0.2, 0.3, 1 / 3.0, -7.25, 72 / 25.4, 1e14, 123_456_789_012_345];
        IEnumerable<double> all = odd.Concat(Enumerable.Range(0, Sweep.Many(100_000, 20_000, 5_000)).Select(_ =>
            (random.NextDouble() - 0.5) * Math.Pow(10, random.Next(-4, 8))));
        foreach (var value in all)
            foreach (var places in (int[])[0, 2, 4, 8])
            {
                var rounded = Math.Round(value, places);
                Written(new PdfNumber(value, places)).ShouldBe(rounded == 0 ? "0"
                    : rounded.ToString("0." + new string('#', places), CultureInfo.InvariantCulture), $"{value:R} to {places}");
            }
    }

    [Fact]
    public void What_is_written_is_read_back_as_it_was()
    {
        var odd = new PdfDict
        {
            ["Plain"] = "Name-with.all_regular+letters",
            ["A B#/(["] = "räksmörgås %<>{}",
            ["Text"] = PdfString.Text("Brackets ( and ) and \\ stay"),
            ["Wide"] = PdfString.Text("Ünal — 本"),
            ["Bytes"] = PdfString.Hex([0, 255, 13, 10]),
            ["Truth"] = true,
            ["Nothing"] = PdfNull.Value,
            ["Left out"] = (PdfObject?)null,
            ["Deep"] = PdfArray.Of(1, new PdfDict { ["In"] = PdfArray.Of(-0.5, 12.25) }, new PdfArray([])),
        };
        var path = _folder["odd.pdf"];
        using (var s = File.Create(path))
        using (var pdf = new PdfWriter(s, "1.7"))
        {
            var (tree, kept) = (pdf.Reserve(), pdf.Object(odd));
            var packed = pdf.Stream(new() { ["Own"] = kept }, "words"u8.ToArray());
            var kid = pdf.Object(new PdfDict
            {
                ["Type"] = "Page",
                ["Parent"] = tree,
                ["MediaBox"] = PdfArray.Of(0, 0, 100, 200.5),
                ["Odd"] = kept,
                ["Packed"] = packed,
            });
            pdf.Object(tree, new PdfDict { ["Type"] = "Pages", ["Count"] = 1, ["Kids"] = PdfArray.Of(kid) });
            pdf.Finish(pdf.Object(new PdfDict { ["Type"] = "Catalog", ["Pages"] = tree }), pdf.Object(new PdfDict()));
        }
        Tool.Run("qpdf", "--check", path).ShouldContain("No syntax or stream encoding errors found");
        using var file = PdfFile.Open(path, default);
        var page = file.Pages.ShouldHaveSingleItem();
        file.Numbers(page, "MediaBox").ShouldBe([0, 0, 100, 200.5]);
        var read = file.Dict(page, "Odd")!;
        read.Select(e => e.Key).ShouldBe(odd.Select(e => e.Key));
        ((PdfName)read["A B#/(["]!).Value.ShouldBe("räksmörgås %<>{}");
        ((PdfString)read["Text"]!).AsText().ShouldBe("Brackets ( and ) and \\ stay");
        ((PdfString)read["Wide"]!).AsText().ShouldBe("Ünal — 本");
        ((PdfString)read["Bytes"]!).Bytes.ShouldBe([0, 255, 13, 10]);
        file.Get(read, "Nothing").ShouldBeNull();
        Written(read["Deep"]!).ShouldBe("[1 << /In [-0.5 12.25] >> []]");
        file.Decode((PdfStream)file.Get(page, "Packed")!).ShouldBe("words"u8.ToArray());
        ((PdfStream)file.Get(page, "Packed")!).Dict["Own"].ShouldBeOfType<PdfRef>();
    }

    [Fact]
    public void An_entry_that_is_nothing_is_not_there_and_a_copy_leaves_the_first_as_it_was()
    {
        var d = new PdfDict { ["A"] = 1, ["B"] = (string?)null };
        d.Count.ShouldBe(1);
        var more = d.With([new("A", 2), new("C", "X")]);
        Written(more).ShouldBe("<< /A 2 /C /X >>");
        Written(new PdfDict(more).Set("A", null)).ShouldBe("<< /C /X >>");
        Written(d).ShouldBe("<< /A 1 >>");
    }

    [Fact]
    public void Content_follows_on_a_line_until_it_is_broken()
    {
        var content = new ContentWriter().Save().Concat(new(1, 0, 0, 0.12345678, 2, 3.00006)).Break()
            .Rectangle(0, 0, 10.5, 20).ClipToPath(evenOdd: true).Break().BeginActualText("(a)").Break();
        var run = new GlyphRun();
        run.Add(0x1A);
        run.Adjust(-12.5);
        run.Add(0xFFFF);
        run.Show(content);
        content.EndMarked().Restore().Break();
        content.ToString().ShouldBe("q 1 0 0 0.12345678 2 3.0001 cm\n0 0 10.5 20 re W* n\n" +
            "/Span << /ActualText (\\(a\\)) >> BDC\n[<001A> -12.5 <FFFF>] TJ EMC Q\n");
        run.IsEmpty.ShouldBeTrue();
    }
}
