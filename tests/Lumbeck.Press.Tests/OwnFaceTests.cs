using System.Buffers.Binary;
using Lumbeck.Press.Faces;

namespace Lumbeck.Press.Tests;

/// <summary>Faces that makers bring: what is read of them, what is kept to, and what is refused.</summary>
public sealed class OwnFaceTests
{
    private static byte[] Shipped(string face = "work-sans/400") =>
        File.ReadAllBytes(Path.Combine(AppContext.BaseDirectory, "faces", face + ".ttf"));

    /// <summary>Ghostscript's own Nimbus, an OpenType face with CFF outlines.</summary>
    private const string Cff = "/usr/share/fonts/opentype/urw-base35/NimbusRoman-Regular.otf";

    private static int TableAt(byte[] file, string tag)
    {
        var count = BinaryPrimitives.ReadUInt16BigEndian(file.AsSpan(4));
        for (var i = 0; i < count; i++)
            if (System.Text.Encoding.ASCII.GetString(file, 12 + (i * 16), 4) == tag)
                return (int)BinaryPrimitives.ReadUInt32BigEndian(file.AsSpan(12 + (i * 16) + 8));
        throw new InvalidOperationException(tag);
    }

    private static byte[] WithRights(ushort fsType)
    {
        var file = Shipped();
        BinaryPrimitives.WriteUInt16BigEndian(file.AsSpan(TableAt(file, "OS/2") + 8), fsType);
        return file;
    }

    private static FaceShelf With(Folder folder, byte[] file, out FaceId id)
    {
        var shelf = new FaceShelf();
        File.WriteAllBytes(folder["own.font"], file);
        shelf.Put(id = new("own-face", 400, false), "Own Face", folder["own.font"]);
        return shelf;
    }

    private static Scene Set(FaceShelf shelf, FaceId id, string words, decimal size = 14)
    {
        var item = TextTests.Item(words, size: size);
        return TextTests.Front(item with { Style = item.Style with { Face = id } }, shelf: shelf).Scene;
    }

    [Theory]
    [InlineData(0, Embedding.Free, false)]
    [InlineData(0x4, Embedding.ToPrint, false)]
    [InlineData(0x8, Embedding.Free, false)]
    [InlineData(0x2, Embedding.Never, false)]
    [InlineData(0x200, Embedding.Never, false)]
    [InlineData(0x104, Embedding.ToPrint, true)]
    public void Rights_are_read_from_the_face(int fsType, Embedding embedding, bool whole)
    {
        var looked = FaceReading.Read(WithRights((ushort)fsType), "own.ttf");
        (looked.Facts.Embedding, looked.Facts.WholeOnly, looked.Family, looked.Weight, looked.Italic)
            .ShouldBe((embedding, whole, "Work Sans", 400, false));
    }

    [Fact]
    public void A_face_that_may_be_in_no_file_is_refused_by_name_and_one_that_goes_whole_goes_whole()
    {
        using var folder = new Folder();
        var never = With(folder, WithRights(2), out var id);
        Should.Throw<Refusal>(() => TextTests.Press(folder, Set(never, id, "Mine"), shelf: never))
            .Message.ShouldContain("Own Face");
        Should.Throw<Refusal>(() => TextTests.Press(folder, Set(never, id, "Mine"), outlines: true, shelf: never))
            .Message.ShouldContain("Own Face");
        var whole = With(folder, WithRights(0x104), out id);
        TextTests.Press(folder, Set(whole, id, "Mine"), shelf: whole);
        Tool.Run("pdffonts", folder["t.pdf"])
            .ShouldMatch(@"(?m)^OwnFace-Regular\s+CID TrueType\s+Identity-H\s+yes\s+no\s+yes");
        new FileInfo(folder["t.pdf"]).Length.ShouldBeGreaterThan(60_000);
    }

    [Fact]
    public void Cubic_outlines_are_embedded_as_a_subset_that_reads_and_looks_right()
    {
        using var folder = new Folder();
        var looked = FaceReading.Read(File.ReadAllBytes(Cff), "nimbus.otf");
        looked.Facts.Outlines.ShouldBeTrue();
        var shelf = With(folder, File.ReadAllBytes(Cff), out var id);
        TextTests.Press(folder, Set(shelf, id, "Harbour offices", 40), shelf: shelf);
        Tool.Run("qpdf", "--check", folder["t.pdf"]);
        Tool.Run("pdffonts", folder["t.pdf"])
            .ShouldMatch(@"(?m)^[A-Z]{6}\+OwnFace-Regular\s+CID Type 0C\s+Identity-H\s+yes\s+yes\s+yes");
        Tool.Run("pdftotext", folder["t.pdf"], "-").Trim().ShouldBe("Harbour offices");
        // Poppler draws from the file what our own outlines draw.
        byte[] looks()
        {
            Tool.Run("pdftoppm", "-r", "200", "-gray", "-singlefile", folder["t.pdf"], folder["look"]);
            return File.ReadAllBytes(folder["look.pgm"]);
        }
        var live = looks();
        TextTests.Press(folder, Set(shelf, id, "Harbour offices", 40), outlines: true, shelf: shelf);
        TextTests.Apart(live, looks()).ShouldBeLessThan(0.3);
    }

    public static TheoryData<string, string> Broken => new()
    {
        { "empty", "no font file" }, { "words", "no TTF or OTF" }, { "woff", "web font" },
            { "collection", "collection" }, { "cut", "damaged" }, { "no-tables", "damaged" },
            { "no-outlines", "no outlines" }, { "no-cmap", "cmap" }, { "short-head", "cut short" }, { "large", "MB" },
    };

    [Theory]
    [MemberData(nameof(Broken))]
    public void A_file_that_is_no_face_is_refused_by_name_and_says_why(string how, string why)
    {
        var file = Shipped();
        void rename(string tag, string to)
        {
            for (var i = 12; i < 12 + (20 * 16); i += 16)
                if (System.Text.Encoding.ASCII.GetString(file, i, 4) == tag)
                    System.Text.Encoding.ASCII.GetBytes(to).CopyTo(file, i);
        }
        switch (how)
        {
            case "empty": file = []; break;
            case "words": file = System.Text.Encoding.ASCII.GetBytes("This is a letter, not a face."); break;
            case "woff": "wOF2"u8.CopyTo(file); break;
            case "collection": "ttcf"u8.CopyTo(file); break;
            case "cut": file = file[..(file.Length / 2)]; break;
            case "no-tables": BinaryPrimitives.WriteUInt16BigEndian(file.AsSpan(4), 0); break;
            case "no-outlines": rename("glyf", "gly_"); break;
            case "no-cmap": rename("cmap", "cma_"); break;
            case "short-head":
                for (var i = 12; i < 12 + (20 * 16); i += 16)
                    if (System.Text.Encoding.ASCII.GetString(file, i, 4) == "head")
                        BinaryPrimitives.WriteUInt32BigEndian(file.AsSpan(i + 12), 20);
                break;
            case "large": file = new byte[FaceReading.MostBytes + 1]; break;
        }
        var refused = Should.Throw<Refusal>(() => FaceReading.Read(file, "letter.ttf"));
        refused.Message.ShouldContain("letter.ttf");
        refused.Message.ShouldContain(why);
    }

    [Fact]
    public void Bytes_spoilt_at_random_are_refused_or_set_and_never_worse()
    {
        var random = new Random(4);
        foreach (var original in (byte[][])[Shipped(), Shipped("amiri/400"), File.ReadAllBytes(Cff)])
            for (var n = 0; n < 40; n++)
            {
                var file = (byte[])original.Clone();
                for (var k = 0; k < 60; k++) file[random.Next(n % 2 == 0 ? 400 : file.Length)] = (byte)random.Next(256);
                try
                {
                    _ = FaceReading.Read(file, "spoilt.ttf");
                    using var folder = new Folder();
                    var shelf = With(folder, file, out var id);
                    _ = Set(shelf, id, "Waters سلام שלום office");
                }
                catch (Refusal r) { r.Message.ShouldNotBeEmpty(); }
            }
    }

    [Fact]
    public void What_ships_is_described_and_free_to_embed()
    {
        foreach (var face in TextTests.Shelf.Faces)
        {
            var facts = TextTests.Shelf.Facts(face);
            facts.Embedding.ShouldNotBe(Embedding.Never, face.ToString());
            Families.Of(face).ShouldNotBeNull(face.ToString());
            facts.Scripts.ShouldContain("Latin");
        }
        TextTests.Shelf.Faces.Select(f => f.Family).Distinct().Count().ShouldBeInRange(24, 28);
        string[] scripts(string family) =>
            [.. TextTests.Shelf.Facts(TextTests.Shelf.Faces.First(f => f.Family == family)).Scripts];
        scripts("amiri").ShouldContain("Arabic");
        scripts("frank-ruhl-libre").ShouldContain("Hebrew");
        scripts("zen-maru-gothic").ShouldContain("Japanese");
        FaceFeatures.Of(TextTests.Shelf.Facts(new("eb-garamond", 400, false))).Select(f => f.Tag).ShouldContain("smcp");
        FaceFeatures.Of(TextTests.Shelf.Facts(new("special-elite", 400, false))).Select(f => f.Tag)
            .ShouldNotContain("smcp");
    }
}
