using System.Buffers.Binary;
using Lumbeck.Press.Kinds;
using Lumbeck.Press.Pdf;

namespace Lumbeck.Desk.Tests;

/// <summary>Makers' own faces in the drawer, in jobs, in packs and at the press; and words that no cover has.</summary>
public sealed class FaceDeskTests : IDisposable
{
    private readonly string _folder = Directory.CreateTempSubdirectory("lumbeck-").FullName;
    private readonly AppServices _desk;

    public FaceDeskTests() => _desk = new(DemoData.In(Path.Combine(_folder, "one")), TimeProvider.System, DemoBench.Load);

    public void Dispose() => Directory.Delete(_folder, recursive: true);

    private static byte[] Face(ushort? rights = null)
    {
        var file = File.ReadAllBytes(Path.Combine(AppContext.BaseDirectory, "faces", "zilla-slab", "600.ttf"));
        if (rights is not { } bits) return file;
        for (var i = 12; ; i += 16)
            if (file.AsSpan(i, 4).SequenceEqual("OS/2"u8))
            {
                BinaryPrimitives.WriteUInt16BigEndian(file.AsSpan((int)BinaryPrimitives.ReadUInt32BigEndian(file.AsSpan(i + 8)) + 8),
                    bits);
                return file;
            }
    }

    private static OnBench Edit(AppServices desk, Func<Job, Edit> make) =>
        desk.Jobs.Apply("tidewatcher", new(Guid.NewGuid().ToString(), "test-session", make));

    [Fact]
    public async Task A_face_of_ones_own_sets_words_comes_along_in_a_pack_and_is_there_tomorrow()
    {
        var row = _desk.Drawer.Faces.TakeIn(Face(), "Mine.ttf");
        row.Name.ShouldBe("Zilla Slab SemiBold");
        _desk.Drawer.Faces.TakeIn(Face(), "Again.ttf").ShouldBe(row);
        FaceId.TryParse(row.Id, out var face).ShouldBeTrue();
        // It never takes the place of one that ships.
        face.Family.ShouldStartWith("own-zilla-slab-");
        var on = Edit(_desk, j => Facts.Write(j, "item/blurb/face@0-4", row.Id));
        on.Composed.Sheets[0].Scene.Item("blurb")!.Marks.OfType<GlyphMark>().Select(g => g.Face).ShouldContain(face);
        using var pack = new MemoryStream();
        _desk.Bench.WritePack(on, pack);
        var other = new AppServices(Path.Combine(_folder, "two"), TimeProvider.System);
        pack.Position = 0;
        var there = await other.Bench.Unpack(pack, "test-session");
        other.Drawer.Faces.All().ShouldHaveSingleItem().Hash.ShouldBe(row.Hash);
        there.Composed.Sheets[0].Scene.Item("blurb")!.Marks.OfType<GlyphMark>().Select(g => g.Face)
            .ShouldContain(face);
        new AppServices(Path.Combine(_folder, "two"), TimeProvider.System).Jobs.Job("tidewatcher").Composed.Findings
            .ShouldNotContain(f => f.Severity == Severity.Stop);
        // A job that names a face which is not here is not taken in.
        Should.Throw<Refusal>(() =>
            Edit(_desk, _ => new StyleText("title", Face: new("own-nowhere-123456", 400, false))))
            .Message
            .ShouldContain("own-nowhere-123456");
    }

    [Fact]
    public void What_may_be_in_no_file_can_be_looked_at_and_not_pressed()
    {
        var row = _desk.Drawer.Faces.TakeIn(Face(2), "Borrowed.ttf");
        var on = Edit(_desk, j => Facts.Write(j, "item/title/face", row.Id));
        on.Composed.Sheets[0].Scene.Item("title")!.IsEmpty.ShouldBeFalse();
        Should.Throw<Refusal>(() => _desk.Pressing.Press("tidewatcher", new PressPlan(PressKind.X4))).Message
            .ShouldContain("Zilla Slab SemiBold");
        Should.Throw<Refusal>(() => _desk.Pressing.Press("tidewatcher", new(PressKind.X4) { Outlines = true }))
            .Path.ShouldBe("face");
        Should.Throw<Refusal>(() => _desk.Pressing.PressBeside(on, new(PressKind.X4)));
        _desk.Pressing.Pressings("tidewatcher").ShouldBeEmpty();
    }

    public static TheoryData<string, string> Words => new()
    {
        { "fifty thousand words", string.Concat(Enumerable.Repeat("water ", 50_000)) },
        { "marks without a base", string.Concat(Enumerable.Repeat("\u0301\u0327\u05B8\u064B", 4_000)) },
        { "lone surrogates", string.Concat(Enumerable.Repeat("\uD800a\uDC00", 6_000)) },
        { "directions within directions", string.Concat(Enumerable.Repeat("\u202Bא\u202Ab\u2067ج\u2066", 2_500)) },
        { "a letter of each direction in turn", string.Concat(Enumerable.Repeat("aא", 9_000)) },
        { "one endless word", new string('w', 19_000) },
        { "nothing but breaks", string.Concat(Enumerable.Repeat("\n\u2028\u200B ", 4_000)) },
        { "brackets that never close", string.Concat(Enumerable.Repeat("([{א", 4_500)) },
    };

    [Theory]
    [MemberData(nameof(Words))]
    public void Words_that_no_cover_has_are_set_or_refused_in_words_and_nothing_is_lost(string what, string words)
    {
        var before = _desk.Jobs.Job("tidewatcher");
        foreach (var fit in (Fitting[])[Fitting.AsSet, Fitting.Shrink, Fitting.Grow])
            try
            {
                var on = Edit(_desk,
                    _ => new Together([new FitText("blurb", fit), new SetWords("blurb", words)], what));
                on.Composed.Sheets[0].Scene.Item("blurb").ShouldNotBeNull();
                _ = on.Composed.Findings;
            }
            catch (Refusal r)
            {
                r.Message.ShouldContain("letters");
                _desk.Jobs.Job("tidewatcher").Revision.ShouldBe(before.Revision);
            }
        while (_desk.Jobs.Job("tidewatcher").Revision != before.Revision)
            _desk.Jobs.Undo("tidewatcher", "test-session");
        _desk.Jobs.Job("tidewatcher").Job.Item("blurb").ShouldBeOfType<TextItem>().Words
            .ShouldBe(((TextItem)before.Job.Item("blurb")!).Words);
    }
}
