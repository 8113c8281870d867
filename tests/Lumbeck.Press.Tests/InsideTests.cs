using System.Text;
using Lumbeck.Intake;
using Lumbeck.Intake.Judging;
using Lumbeck.Intake.Opening;
using Lumbeck.Press.Kinds;
using Lumbeck.Press.Pdf;

namespace Lumbeck.Press.Tests;

/// <summary>Inside PDFs as a ticket reads them: page tree and boxes, whatever else is in the file.</summary>
public sealed class InsideTests : IDisposable
{
    private readonly Folder _folder = new();

    public void Dispose() => _folder.Dispose();

    /// <summary>A PDF of these pages: each with its page entries and its content.</summary>
    private string Pdf(string name, IEnumerable<(string Entries, string Content)> pages, string inherited = "")
    {
        static byte[] bytes(string text) => Encoding.Latin1.GetBytes(text);
        List<byte[]> all = [bytes("<< /Type /Catalog /Pages 2 0 R >>"), []];
        // Two levels, as layout programs write them.
        List<string> branches = [];
        foreach (var chunk in pages.Chunk(50))
        {
            var (branch, kids) = (all.Count + 1, new List<string>());
            all.Add([]);
            foreach (var (entries, content) in chunk)
            {
                all.Add(bytes($"<< /Length {content.Length} >>\nstream\n{content}\nendstream"));
                all.Add(bytes($"<< /Type /Page /Parent {branch} 0 R /Resources << >> /Contents {all.Count} 0 R {entries} >>"));
                kids.Add($"{all.Count} 0 R");
            }
            all[branch - 1] = bytes($"<< /Type /Pages /Parent 2 0 R /Count {kids.Count} /Kids [{string.Join(' ', kids)}] >>");
            branches.Add($"{branch} 0 R");
        }
        all[1] = bytes($"<< /Type /Pages /Count {pages.Count()} /Kids [{string.Join(' ', branches)}] {inherited} >>");
        File.WriteAllBytes(_folder[name], Import.HandMade.File(all));
        return _folder[name];
    }

    private static InsideFile Read(string file)
    {
        using var s = File.OpenRead(file);
        return InsideReading.Of(s, Path.GetFileName(file));
    }

    private const string Ink = "0 0 10 10 re f\n";

    [Fact]
    public void Pages_sizes_odd_ones_and_a_blank_last_page_are_found()
    {
        var pages = Enumerable.Range(1, 318)
            .Select(n =>
                (n is 40 or 41 ? "/MediaBox [0 0 378 570]" : n == 200 ? "/Rotate 90 /MediaBox [0 0 576 378]" : "",
                    n == 318 ? "q Q\n" : Ink));
        var inside = Read(Pdf("book.pdf", pages, "/MediaBox [0 0 378 576]"));
        (inside.Pages, inside.LastBlank, inside.TrimBoxes).ShouldBe((318, true, false));
        inside.Sizes.Select(s => (s.Size.Show(Unit.Inch), s.Pages, s.First))
            .ShouldBe([("5.25 × 8 in", 316, 1), ("5.25 × 7.917 in", 2, 40)]);
        inside.Says(Size.FromInches(5.25m, 8), HouseFile.Shipped["tern"], Unit.Inch)
            .ShouldBe(["318 pages of 5.25 × 8 in", "2 pages, the first of them page 40, are 5.25 × 7.917 in",
                "the last page is blank: leave it out if it was only to make the count even"]);
    }

    [Fact]
    public void Trim_boxes_say_the_size_where_there_are_any_and_crop_boxes_what_is_seen()
    {
        var trimmed = Read(Pdf("trimmed.pdf",
            Enumerable.Repeat(("/MediaBox [0 0 450 650] /TrimBox [36 36 414 612]", Ink), 20)));
        (trimmed.TrimBoxes, trimmed.Page.Show(Unit.Inch), trimmed.LastBlank).ShouldBe((true, "5.25 × 8 in", false));
        Read(Pdf("cropped.pdf", Enumerable.Repeat(("/MediaBox [0 0 450 650] /CropBox [36 36 414 612]", Ink), 20)))
            .Page.Show(Unit.Inch)
            .ShouldBe("5.25 × 8 in");
        // User space may be larger than points.
        Read(Pdf("large.pdf", Enumerable.Repeat(("/MediaBox [0 0 189 288] /UserUnit 2", Ink), 20))).Page.Show(Unit.Inch)
            .ShouldBe("5.25 × 8 in");
    }

    [Fact]
    public void What_cannot_be_read_is_answered_by_name_and_reason()
    {
        string said(string name, byte[] bytes)
        {
            File.WriteAllBytes(_folder[name], bytes);
            return Should.Throw<Refusal>(() => Read(_folder[name])).Message;
        }
        said("empty.pdf", []).ShouldBe("empty.pdf is empty: export it again");
        said("letter.pdf", Encoding.ASCII.GetBytes("Dear printer,")).ShouldStartWith("letter.pdf is no PDF");
        var whole = File.ReadAllBytes(Pdf("whole.pdf", Enumerable.Repeat(("/MediaBox [0 0 378 576]", Ink), 60)));
        said("torn.pdf", whole[..300]).ShouldStartWith("torn.pdf ");
        said("bare.pdf",
            Encoding.ASCII.GetBytes("%PDF-1.6\n1 0 obj\n<< /Type /Catalog >>\nendobj\ntrailer << /Root 1 0 R >>"))
            .ShouldStartWith("bare.pdf ");
        Tool.Run("qpdf", "--encrypt", "secret", "owner", "256", "--", _folder["whole.pdf"], _folder["locked.pdf"]);
        Should.Throw<Refusal>(() => Read(_folder["locked.pdf"])).Message.ShouldStartWith("locked.pdf is encrypted");
        Should.Throw<Refusal>(() => Read(Pdf("sizeless.pdf", [("", Ink)])))
            .Message.ShouldStartWith("page 1 of sizeless.pdf has no size");
    }

    [Fact]
    public void A_file_that_takes_too_long_to_make_sense_of_is_given_up()
    {
        using var s = File.OpenRead(Pdf("slow.pdf", Enumerable.Repeat(("/MediaBox [0 0 378 576]", Ink), 60)));
        Should.Throw<Refusal>(() => InsideReading.Of(s, "slow.pdf", TimeSpan.Zero)).Message
            .ShouldBe("slow.pdf is damaged and can’t be read: open it, and export it again");
    }

    [Fact]
    public void A_page_tree_that_loops_comes_to_an_end()
    {
        File.WriteAllText(_folder["loop.pdf"],
            "%PDF-1.4\n1 0 obj\n<< /Type /Catalog /Pages 2 0 R >>\nendobj\n2 0 obj\n<< /Type /Pages /Count 2 /Kids " +
                "[3 0 R 2 0 R] /MediaBox [0 0 378 576] >>\nendobj\n3 0 obj\n<< /Type /Pages /Parent 2 0 R /Count 1 " +
                "/Kids [2 0 R 4 0 R] >>\nendobj\n4 0 obj\n<< /Type /Page /Parent 3 0 R >>\nendobj\ntrailer << /Root " +
                "1 0 R /Size 5 >>\n");
        try { Read(_folder["loop.pdf"]).Pages.ShouldBe(1); }
        catch (Refusal r) { r.Message.ShouldStartWith("loop.pdf "); }
    }

    [Fact]
    public async Task An_inside_is_read_from_the_disk_and_not_kept_and_one_over_the_limit_is_refused()
    {
        var desk = new Desk.AppServices(DemoData.In(_folder["data"]), TimeProvider.System, DemoBench.Load);
        await using (var upload = File.OpenRead(Pdf("book.pdf",
            Enumerable.Repeat(("/MediaBox [0 0 378 576]", Ink), 10))))
            (await InsideDesk.ReadInside(desk.Drawer, upload, "../..\\C:\\books\\Bo\u0001ok.pdf", default))
                .Name.ShouldBe("Book.pdf");
        Directory.EnumerateFiles(Path.Combine(desk.Folder, "incoming")).ShouldBeEmpty();
        var refused = await Should.ThrowAsync<Refusal>(() =>
            InsideDesk.ReadInside(desk.Drawer, new Endless(), "huge.pdf", default));
        refused.Message.ShouldStartWith("huge.pdf is over 500 MB");
        Directory.EnumerateFiles(Path.Combine(desk.Folder, "incoming")).ShouldBeEmpty();
    }

    /// <summary>A sender that never stops.</summary>
    private sealed class Endless : Stream
    {
        public override bool CanRead => true;
        public override bool CanSeek => false;
        public override bool CanWrite => false;
        public override long Length => throw new NotSupportedException();
        public override long Position { get => 0; set => throw new NotSupportedException(); }
        public override int Read(byte[] buffer, int offset, int count) => count;
        public override void Flush() { }
        public override long Seek(long offset, SeekOrigin origin) => throw new NotSupportedException();
        public override void SetLength(long value) => throw new NotSupportedException();
        public override void Write(byte[] buffer, int offset, int count) => throw new NotSupportedException();
    }

    /// <summary>So many zeros, packed so many times.</summary>
    private static byte[] Packed(int megabytes, int times)
    {
        Stream from = new ZerosOf(megabytes * 1_000_000L);
        byte[] packed = [];
        for (var i = 0; i < times; i++)
        {
            using var m = new MemoryStream();
            using (var z = new System.IO.Compression.ZLibStream(m, System.IO.Compression.CompressionLevel.Fastest,
                leaveOpen: true))
                from.CopyTo(z);
            from = new MemoryStream(packed = m.ToArray());
        }
        return packed;
    }

    private sealed class ZerosOf(long left) : MemoryStream
    {
        private long _left = left;
        public override int Read(byte[] buffer, int offset, int count) => Read(buffer.AsSpan(offset, count));
        public override int Read(Span<byte> buffer)
        {
            var n = (int)Math.Min(buffer.Length, _left);
            buffer[..n].Clear();
            _left -= n;
            return n;
        }
        public override void CopyTo(Stream destination, int bufferSize)
        {
            var buffer = new byte[1 << 20];
            for (int n; (n = Read(buffer)) > 0;) destination.Write(buffer, 0, n);
        }
    }

    /// <summary>A file of one page by hand, with what stands for its content and its cross-reference.</summary>
    private string ByHand(string name, string content, byte[] contentBytes, byte[]? xref, params string[] more)
    {
        using var f = File.Create(_folder[name]);
        var offsets = new List<long>();
        void put(string s) => f.Write(Encoding.Latin1.GetBytes(s));
        void begin() { offsets.Add(f.Position); put($"{offsets.Count} 0 obj\n"); }
        put("%PDF-1.5\n");
        begin(); put("<< /Type /Catalog /Pages 2 0 R >>\nendobj\n");
        begin(); put("<< /Type /Pages /Kids [3 0 R] /Count 1 >>\nendobj\n");
        begin(); put("<< /Type /Page /Parent 2 0 R /MediaBox [0 0 378 576] /Contents 4 0 R /Resources << /XObject << " +
            "/F1 5 0 R >> >> >>\nendobj\n");
        begin(); put($"<< /Length {contentBytes.Length} {content} " +
            $">>\nstream\n"); f.Write(contentBytes); put("\nendstream\nendobj\n");
        foreach (var o in more) { begin(); put(o + "\nendobj\n"); }
        var at = f.Position;
        if (xref is null)
            put($"xref\n0 {offsets.Count + 1}\n0000000000 65535 f " +
                $"\n{string.Concat(offsets.Select(o => $"{o:0000000000} 00000 n \n"))}trailer\n<< /Size " +
                $"{offsets.Count + 1} /Root 1 0 R >>\n");
        else
        {
            put($"{offsets.Count + 1} 0 obj\n<< /Type /XRef /Size {offsets.Count + 2} /W [1 4 1] /Root 1 0 R /Filter " +
                $"/FlateDecode /Length {xref.Length} >>\nstream\n");
            f.Write(xref);
            put("\nendstream\nendobj\n");
        }
        put($"startxref\n{at}\n%%EOF\n");
        return _folder[name];
    }

    [Fact]
    public void A_small_file_that_unpacks_to_hundreds_of_megabytes_is_no_trouble()
    {
        var (twice, xref) = (ByHand("bomb.pdf", "/Filter [/FlateDecode /FlateDecode]", Packed(400, 2), null),
            ByHand("xref.pdf", "", "f"u8.ToArray(), Packed(400, 1)));
        var before = GC.GetAllocatedBytesForCurrentThread();
        var bomb = Read(twice);
        (bomb.Pages, bomb.LastBlank).ShouldBe((1, false));
        Should.Throw<Refusal>(() => Read(xref)).Message.ShouldContain("xref.pdf");
        // Twelve forms, each of which draws the next ten times: none is opened.
        var forms = Enumerable.Range(0, 12).Select(n =>
        {
            var draws = string.Concat(Enumerable.Repeat("/F1 Do ", 10));
            return $"<< /Type /XObject /Subtype /Form /BBox [0 0 9 9] /Resources << /XObject << /F1 {6 + n} 0 R >> " +
                $">> /Length {draws.Length} >>\nstream\n{draws}\nendstream";
        }).Append("<< /Type /XObject /Subtype /Form /BBox [0 0 9 9] /Length 0 >>\nstream\n\nendstream").ToArray();
        Read(ByHand("forms.pdf", "", "/F1 Do"u8.ToArray(), null, forms)).LastBlank.ShouldBeFalse();
        // All that was ever taken, not what was held at once: whole, the two would be some gigabytes.
        (GC.GetAllocatedBytesForCurrentThread() - before).ShouldBeLessThan(800_000_000);
    }

    [Fact]
    public void Reading_ends_when_whoever_asked_has_gone()
    {
        using var gone = new CancellationTokenSource();
        gone.Cancel();
        using var file = File.OpenRead(Pdf("gone.pdf", [("/MediaBox [0 0 378 576]", Ink)]));
        Should.Throw<OperationCanceledException>(() => InsideReading.Of(file, "gone.pdf", cancel: gone.Token));
    }
}
