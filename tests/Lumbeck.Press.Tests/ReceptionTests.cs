using System.Text.RegularExpressions;
using Lumbeck.Desk;
using Lumbeck.Intake;
using Lumbeck.Intake.Judging;
using Lumbeck.Intake.Opening;
using Lumbeck.Press.Kinds;
using Lumbeck.Press.Pdf;

namespace Lumbeck.Press.Tests;

/// <summary>A good X-1a and a good X-4 file, to be spoiled.</summary>
public sealed class GoodFiles : IDisposable
{
    public GoodFiles()
    {
        Desk = new(DemoData.In(Folder["data"]), TimeProvider.System, DemoBench.Load);
        Hive = Desk.Jobs.Job("hive");
        Light = Desk.Jobs.Job("tidewatcher");
        X1a = Made(Hive, PressKind.X1a, "x1a.pdf");
        X4 = Made(Light, PressKind.X4, "x4.pdf");
    }

    public Folder Folder { get; } = new();
    public Desk.AppServices Desk { get; }
    public OnBench Hive { get; }
    public OnBench Light { get; }
    public string X1a { get; }
    public string X4 { get; }

    /// <summary>Both taken apart; each case spoils a copy.</summary>
    internal Spoiler X1aOpen => _x1aOpen ??= new(X1a);
    internal Spoiler X4Open => _x4Open ??= new(X4);

    private Spoiler? _x1aOpen, _x4Open;

    private string Made(OnBench on, PressKind kind, string name)
    {
        using (var s = File.Create(Folder[name])) Desk.Pressing.WritePress(on, new(kind), s);
        return Folder[name];
    }

    public void Dispose() => Folder.Dispose();
}

/// <summary>Reception rejects each spoiled file for its own reason, and takes what is odd but legal.</summary>
public sealed class ReceptionTests(GoodFiles good) : IClassFixture<GoodFiles>
{
    private static string Image(string space, int channels, string more = "", int bits = 8) =>
        $"<< /Type /XObject /Subtype /Image /Width 40 /Height 40 /BitsPerComponent {bits} /ColorSpace {space} {more} " +
            $"/Length 1 >>\nstream\n{new string('U', 40 * 40 * channels * bits / 8)}\nendstream";

    /// <summary>By name: of which file it is made (X-1a or X-4), how, and the reason it is rejected for.</summary>
    private static readonly Dictionary<string, (bool X1a, Action<Spoiler> Spoil, string Reason)> Spoiled = new()
    {
        ["trim of another size"] = (true, s => s.Swap(new Regex(@"/TrimBox \[(\s*)([\d.]+)"), "/TrimBox [$1 60"),
            "box.trim"),
        ["no trim box"] = (true, s => s.Swap("/TrimBox", "/SpareBox"), "box.trim"),
        ["bleed too small"] = (true, s => s.Swap(new Regex(@"/BleedBox \[[^\]]*\]"), "/BleedBox [ 41 41 884 639 ]"),
            "box.bleed"),
        ["bleed past the page"] = (true,
            s => s.Swap(new Regex(@"/BleedBox \[\s*(\S+)\s+(\S+)\s+(\S+)\s+\S+\s*\]"), "/BleedBox [ $1 $2 $3 2000 ]"),
            "box.bleed"),
        ["two boxes for the cut"] = (true, s => s.OnPage("/ArtBox [ 50 50 100 100 ]"), "box.trim"),
        ["a second page"] = (true,
            s =>
                {
                    var page = s.Add("<< /Type /Page /MediaBox [0 0 100 100] >>");
                    s.Swap(new Regex(@"/Count 1\b"), "/Count 2")
                        .Swap(new Regex(@"/Kids \[\s*(\d+ 0 R)"), $"/Kids [ $1 {page} 0 R");
                },
            "pages.count"),
        ["an RGB picture"] = (true,
            s =>
                {
                    var n = s.Add(Image("/DeviceRGB", 3));
                    s.With("XObject", "Bad", $"{n} 0 R").Painting("q 8 0 0 8 200 200 cm /Bad Do Q");
                },
            "colour"),
        ["RGB letters"] = (true, s => s.Painting("1 0 0 rg 100 100 20 20 re f"), "colour"),
        ["a Lab fill"] = (true,
            s =>
                s.With("ColorSpace", "L", "[/Lab << /WhitePoint [0.96 1 0.82] >>]")
                    .Painting("/L cs 50 10 10 sc 100 100 20 20 re f"),
            "colour"),
        ["a calibrated RGB shading"] = (true,
            s =>
                s.With("Shading", "Sh",
                    "<< /ShadingType 2 /ColorSpace [/CalRGB << /WhitePoint [0.95 1 1.09] >>] /Coords [0 0 9 9] " +
                        "/Function << /FunctionType 2 /Domain [0 1] /N 1 /C0 [0 0 0] /C1 [1 1 1] >> >>")
                    .Painting("/Sh sh"),
            "colour"),
        ["an ink nobody has"] = (true,
            s =>
                s.With("ColorSpace", "Spot",
                    "[/Separation /Coral /DeviceCMYK << /FunctionType 2 /Domain [0 1] /N 1 /C0 [0 0 0 0] /C1 [0 0.7 " +
                        "0.6 0] >>]")
                    .Painting("/Spot cs 1 scn 100 100 20 20 re f"),
            "ink.plate"),
        ["a face left out"] = (true, s => s.Swap("/FontFile2", "/Nowhere2"), "face.embedded"),
        ["a face that never was embedded"] = (true,
            s =>
                s.With("Font", "Plain", "<< /Type /Font /Subtype /Type1 /BaseFont /Helvetica >>")
                    .Painting("BT 0 0 0 1 k /Plain 12 Tf 200 200 Td (not here) Tj ET"),
            "face.embedded"),
        ["another intent"] = (true,
            s => s.Swap("/OutputConditionIdentifier (FOGRA39)", "/OutputConditionIdentifier (FOGRA47)"), "intent"),
        ["no intent"] = (true, s => s.Swap("/OutputIntents", "/OtherIntents"), "intent"),
        ["opacity"] = (true,
            s => s.With("ExtGState", "Half", "<< /ca 0.5 >>").Painting("q /Half gs 0 0 1 0 k 100 100 20 20 re f Q"),
            "transparency"),
        ["a blend mode"] = (true,
            s => s.With("ExtGState", "Mul", "<< /BM /Multiply >>").Painting("q /Mul gs 0 0 1 0 k 100 100 20 20 re f Q"),
            "transparency"),
        ["a soft mask"] = (true,
            s =>
                {
                    var m = s.Add(Image("/DeviceGray", 1)); var n = s.Add(Image("/DeviceCMYK", 4, $"/SMask {m} 0 R"));
                    s.With("XObject", "Bad", $"{n} 0 R").Painting("q 8 0 0 8 200 200 cm /Bad Do Q");
                },
            "transparency"),
        ["a page group"] = (true, s => s.OnPage("/Group << /S /Transparency /CS /DeviceCMYK >>"), "transparency"),
        ["a coarse picture"] = (true,
            s =>
                {
                    var n = s.Add(Image("/DeviceCMYK", 4));
                    s.With("XObject", "Bad", $"{n} 0 R").Painting("q 200 0 0 200 200 200 cm /Bad Do Q");
                },
            "picture.resolution"),
        ["JPEG 2000"] = (true,
            s =>
                {
                    var n = s.Add(Image("/DeviceCMYK", 4, "/Filter /JPXDecode"));
                    s.With("XObject", "Bad", $"{n} 0 R").Painting("q 8 0 0 8 200 200 cm /Bad Do Q");
                },
            "picture.packing"),
        ["sixteen bits"] = (true,
            s =>
                {
                    var n = s.Add(Image("/DeviceCMYK", 4, bits: 16));
                    s.With("XObject", "Bad", $"{n} 0 R").Painting("q 8 0 0 8 200 200 cm /Bad Do Q");
                },
            "picture.packing"),
        ["no marks"] = (true, s => s.Swap(new Regex(@"(?m)^(\S+ \S+) m (\S+ \S+) l S$"), "$1 m"), "marks"),
        ["marks on the cover"] = (true,
            s =>
                s.With("ColorSpace", "Reg",
                    "[/Separation /All /DeviceCMYK << /FunctionType 2 /Domain [0 1] /N 1 /C0 [0 0 0 0] /C1 [1 1 1 1] >>]")
                    .Painting("q /Reg CS 1 SCN 0.25 w 200 200 m 240 200 l S Q"),
            "marks"),
        ["a guide left in"] = (true, s => s.Painting("q 0 1 1 0 K 0.5 w 42.504 36 m 42.504 640 l S Q"), "guides"),
        ["far too much ink"] = (true, s => s.Painting("1 1 1 0.9 k 100 100 60 60 re f"), "ink.total"),
        ["white that overprints"] = (true,
            s =>
                s.With("ExtGState", "Over", "<< /OP true /op true /OPM 1 >>")
                    .Painting("q /Over gs 0 0 0 0 k 100 100 20 20 re f Q"),
            "ink.overprint"),
        ["white that overprints, set in its space"] = (true,
            s =>
                s.With("ExtGState", "Over", "<< /OP true /op true /OPM 1 >>")
                    .Painting("q /Over gs /DeviceCMYK cs 0 0 0 0 scn 100 100 20 20 re f Q"),
            "ink.overprint"),
        ["gray white that overprints, set in its space"] = (true,
            s =>
                s.With("ExtGState", "Over", "<< /OP true /op true /OPM 1 >>")
                    .Painting("q /Over gs /DeviceGray cs 1 sc 100 100 20 20 re f Q"),
            "ink.overprint"),
        ["a run that overprints, which programs draw in two ways"] = (true,
            s =>
                s.With("ExtGState", "Over", "<< /OP true /op true /OPM 1 >>")
                    .With("Shading", "Sh",
                    "<< /ShadingType 2 /ColorSpace /DeviceCMYK /Coords [100 0 300 0] /Function << /FunctionType 2 " +
                        "/Domain [0 1] /N 1 /C0 [0 0 0.3 0] /C1 [0 0 0.6 0] >> >>")
                    .Painting("0.5 0.3 0 0 k 90 90 220 220 re f q /Over gs 100 100 200 200 re W n /Sh sh Q"),
            "ink.differs"),
        ["art that stops at the cut"] = (true, s => s.Painting("0 0 0 0 k 0 0 42 700 re f 34 34 1000 8.4 re f"),
            "bleed.bare"),
        ["a covered barcode"] = (true, s => s.Painting("0 0 0 0 k 40 40 140 120 re f"), "barcode"),
        ["a stray note"] = (true,
            s =>
                s.OnPage("/Annots [ << /Type /Annot /Subtype /Text /Rect [100 100 120 120] /Contents (too dark?) >> ]"),
            "objects"),
        ["a link on the cover"] = (true,
            s => s.OnPage("/Annots [ << /Type /Annot /Subtype /Link /Rect [100 100 220 120] /A << /S /URI /URI " +
                "(http://example.org) >> >> ]"),
            "objects"),
        ["a script"] = (true, s => s.InCatalog("/OpenAction << /S /JavaScript /JS (app.alert\\(1\\)) >>"), "objects"),
        ["an attachment"] = (true,
            s =>
                {
                    var f = s.Add("<< /Type /EmbeddedFile /Length 1 >>\nstream\nx\nendstream");
                    s.InCatalog($"/Names << /EmbeddedFiles << /Names [(a) << /Type /Filespec /F (a) /EF << /F {f} 0 " +
                        $"R >> >>] >> >>");
                },
            "objects"),
        ["a form"] = (true, s => s.InCatalog("/AcroForm << /Fields [ << /FT /Tx /T (name) >> ] >>"), "objects"),
        ["a transfer curve"] = (true,
            s =>
                s.With("ExtGState", "Tr", "<< /TR << /FunctionType 2 /Domain [0 1] /N 1 /C0 [0] /C1 [1] >> >>")
                    .Painting("/Tr gs"),
            "objects"),
        ["a halftone"] = (true,
            s =>
                s.With("ExtGState", "Ht",
                    "<< /HT << /HalftoneType 1 /Frequency 60 /Angle 45 /SpotFunction /Round >> >>")
                    .Painting("/Ht gs"),
            "objects"),
        ["layers"] = (true,
            s =>
                {
                    var o = s.Add("<< /Type /OCG /Name (guides) >>");
                    s.InCatalog($"/OCProperties << /OCGs [{o} 0 R] /D << >> >>");
                },
            "layers"),
        ["not trapped, nor untrapped"] = (true, s => s.Swap("/Trapped /False", "/Trapped /Unknown"), "standard"),
        ["a newer PDF"] = (true, s => s.Header("%PDF-1.7"), "version"),
        ["X-4 where X-1a is wanted"] = (true, s => s.Swap("(PDF/X-1a:2003)", "(PDF/X-4)"), "standard"),
        ["X-4 without its profile"] = (false, s => s.Swap("/DestOutputProfile", "/OtherProfile"), "intent"),
        ["X-4 with a broken profile"] = (false, s => s.Swap("acsp", "xxxx"), "intent"),
        ["X-4 in another trim"] = (false, s => s.Swap(new Regex(@"/TrimBox \[(\s*)([\d.]+)"), "/TrimBox [$1 40"),
            "box.trim"),
        ["X-4 with marks where none are wanted"] = (false,
            s =>
                s.Swap(new Regex(@"/MediaBox \[[^\]]*\]"), "/MediaBox [ -20 -20 800 620 ]")
                    .Painting("q 0 0 0 1 K 0.25 w 772 300 m 790 300 l S -15 9 m -3 9 l S Q"),
            "marks"),
        ["X-4 with plain RGB"] = (false, s => s.Painting("1 0 0 rg 100 300 20 20 re f"), "colour"),
        ["X-4 with a face left out"] = (false, s => s.Swap("/FontFile2", "/Nowhere2"), "face.embedded"),
        ["X-4 of another book"] = (false, s => s.Painting("0 0 0 0 k 0 10 780 150 re f"), "barcode"),
    };

    public static TheoryData<string> Names() => [.. Spoiled.Keys];

    private Verdict Judged(bool x1a, string file) =>
        IntakeDesk.Judge(file, good.Desk.Pressing.Expects(x1a ? good.Hive : good.Light));

    [Fact]
    public void The_good_files_are_accepted_and_so_are_they_unfolded()
    {
        foreach (var (x1a, file) in ((bool, string)[])[(true, good.X1a), (false, good.X4)])
        {
            Judged(x1a, file).Findings.ShouldBeEmpty();
            Judged(x1a, new Spoiler(file).Write(good.Folder["unfolded.pdf"])).Findings.ShouldBeEmpty();
        }
    }

    [Theory]
    [MemberData(nameof(Names))]
    public void A_spoiled_file_is_rejected_for_its_own_reason(string name)
    {
        var (x1a, spoil, reason) = Spoiled[name];
        var spoiler = (x1a ? good.X1aOpen : good.X4Open).Copy();
        spoil(spoiler);
        var verdict = Judged(x1a, spoiler.Write(good.Folder[$"spoiled-{Guid.NewGuid():n}.pdf"]));
        verdict.Accepted.ShouldBeFalse();
        verdict.Findings.Where(f => f.Severity == Severity.Stop).Select(f => f.Id).ShouldContain(reason);
        // Nothing else is made of it.
        verdict.Findings.Where(f => f.Severity == Severity.Stop).Select(f => f.Id).Distinct().Count()
            .ShouldBeLessThanOrEqualTo(3, verdict.Say());
        verdict.Say().ShouldStartWith("rejected: ");
    }

    /// <summary>Where two programs part, reception says which ink and where on the page.</summary>
    [Fact]
    public void Where_two_programs_lay_different_ink_is_said()
    {
        var spoiler = good.X1aOpen.Copy();
        Spoiled["a run that overprints, which programs draw in two ways"].Spoil(spoiler);
        var file = spoiler.Write(good.Folder["parted.pdf"]);
        var found = Judged(true, file).Findings.Where(f => f.Id == "ink.differs").ToList();
        found.ShouldNotBeEmpty();
        var high = double.Parse(Regex.Match(Tool.Run("pdfinfo", file), @"Page size: +[\d.]+ x ([\d.]+)").Groups[1].Value,
            CultureInfo.InvariantCulture);
        foreach (var f in found)
        {
            var at = Regex.Match(f.Measured, @"most ([\d.]+) (mm|in) from the left and ([\d.]+) \2 from the head of page 1");
            at.Success.ShouldBeTrue(f.Measured);
            double points(int group) => double.Parse(at.Groups[group].Value, CultureInfo.InvariantCulture)
                * (at.Groups[2].Value == "mm" ? 72 / 25.4 : 72);
            // The run lies from 100 to 300 points, counted from the lower left.
            points(1).ShouldBeInRange(98, 302);
            (high - points(3)).ShouldBeInRange(98, 302);
        }
    }

    private static readonly Dictionary<string, (bool X1a, Action<Spoiler> Do)> Odd = new()
    {
        ["a plate of several inks"] = (true,
            s =>
                s.With("ColorSpace", "Two",
                    "[/DeviceN [/Cyan /Black] /DeviceCMYK << /FunctionType 4 /Domain [0 1 0 1] /Range [0 1 0 1 0 1 0 " +
                        "1] /Length 1 >>]")
                    .Painting("/Two cs 0.2 0.1 scn 100 100 20 20 re f")),
        ["an indexed picture"] = (true, s =>
        {
            var n = s.Add(Image("[/Indexed /DeviceCMYK 1 <0000000020101000>]", 1));
            s.With("XObject", "Ok", $"{n} 0 R").Painting("q 8 0 0 8 200 200 cm /Ok Do Q");
        }
        ),
        ["a note beside the bleed"] = (true,
            s => s.OnPage("/Annots [ << /Type /Annot /Subtype /Text /Rect [2 2 12 12] /Contents (sheet 1) >> ]")),
        ["an inline picture"] = (true,
            s => s.Painting("q 4 0 0 4 200 200 cm BI /W 4 /H 4 /BPC 8 /CS /G ID 0123456789abcdef\nEI Q")),
        ["content in two streams"] = (true, s =>
        {
            var n = s.Add("<< /Length 1 >>\nstream\nq Q\nendstream");
            s.Swap(new Regex(@"/Contents (\d+ 0 R)"), $"/Contents [ $1 {n} 0 R ]");
        }
        ),
        ["boxes that the page inherits"] = (true,
            s =>
                s.Swap(new Regex(@"/MediaBox (\[[^\]]*\])"), "/SpareBox $1")
                    .Swap(new Regex(@"/Type /Pages"), "/Type /Pages /MediaBox [ 0 0 925.3230 680.0670 ]")),
        ["a page turned upside down"] = (true, s => s.OnPage("/Rotate 0 /UserUnit 1")),
        ["a tiling pattern"] = (true, s =>
        {
            var n = s.Add("<< /Type /Pattern /PatternType 1 /PaintType 1 " +
            "/TilingType 1 /BBox [0 0 4 4] /XStep 4 /YStep 4 /Resources << >> /Length 1 >>\nstream\n0 0.1 0.2 0 k 0 " +
            "0 2 2 re f\nendstream");
            s.With("Pattern", "Tiles", $"{n} 0 R").Painting("/Pattern cs /Tiles scn 200 200 20 20 re f");
        }
        ),
        ["a face that no word is set in"] = (true,
            s =>
                s.With("Font", "Idle", "<< /Type /Font /Subtype /Type1 /BaseFont /Helvetica >>")
                    .Painting("BT /Idle 12 Tf ET")),
        ["a drawn face"] =
            (true, s =>
            {
                var g = s.Add("<< /Length 1 >>\nstream\n500 0 0 0 400 400 d1 0 0 400 400 re f\nendstream");
                var n = s.Add($"<< /Type /Font /Subtype /Type3 /FontBBox [0 0 500 500] /FontMatrix [0.001 0 0 0.001 0 0] " +
                    $"/CharProcs << /a {g} 0 R >> /Encoding << /Type /Encoding /Differences [97 /a] >> /FirstChar 97 " +
                    $"/LastChar 97 /Widths [500] /Resources << >> >>");
                s.With("Font", "T3", $"{n} 0 R").Painting("BT 0 0 0 1 k /T3 12 Tf 200 200 Td (a) Tj ET");
            }
        ),
        ["loops that lead nowhere"] = (true, s =>
        {
            var n = s.Add("<< /A 1 0 R /Self 9999 0 R >>");
            s.InCatalog($"/PieceInfo << /Odd {n} 0 R >>");
        }
        ),
        ["an X-4 layer that is shown"] = (false, s =>
        {
            var o = s.Add("<< /Type /OCG /Name (art) >>");
            s.InCatalog($"/OCProperties << /OCGs [{o} 0 R] /D << /ON [{o} 0 R] /Order [] >> >>")
                .With("Properties", "Lay", $"{o} 0 R").Painting("/OC /Lay BDC q Q EMC");
        }
        ),
        ["an X-4 picture with a profile of its own"] =
            (false, s =>
            {
                var icc = s.Add("<< /N 3 /Length 1 >>\nstream\nnot looked into\nendstream");
                var n = s.Add(Image($"[/ICCBased {icc} 0 R]", 3));
                s.With("XObject", "Ok", $"{n} 0 R").Painting("q 8 0 0 8 300 300 cm /Ok Do Q");
            }
        ),
    };

    public static TheoryData<string> OddNames() => [.. Odd.Keys];

    [Theory]
    [MemberData(nameof(OddNames))]
    public void What_is_odd_but_legal_is_accepted(string name)
    {
        var (x1a, change) = Odd[name];
        var file = (x1a ? good.X1aOpen : good.X4Open).Copy();
        change(file);
        var verdict = Judged(x1a, file.Write(good.Folder[$"odd-{Guid.NewGuid():n}.pdf"]));
        verdict.Findings.Where(f => f.Severity == Severity.Stop).ShouldBeEmpty();
    }

    [Fact]
    public void Files_that_another_program_packed_anew_are_accepted()
    {
        var packed = good.Folder["packed.pdf"];
        Tool.Run("qpdf", "--object-streams=generate", "--linearize", good.X4, packed);
        Judged(false, packed).Findings.ShouldBeEmpty();
        // PDF/X-1a knows no object streams.
        Tool.Run("qpdf", "--object-streams=generate", good.X1a, packed);
        Judged(true, packed).Accepted.ShouldBeFalse();
    }

    public static TheoryData<string> Hostile() =>
        ["empty", "no PDF", "encrypted", "cut off", "deep arrays", "a form within itself", "a tree within itself",
            "a bomb", "many pages", "many objects", "noise", "a loop of references"];

    [Theory]
    [MemberData(nameof(Hostile))]
    public void A_hostile_file_is_rejected_in_words(string name)
    {
        var file = good.Folder[$"hostile-{Guid.NewGuid():n}.pdf"];
        switch (name)
        {
            case "empty": File.WriteAllText(file, ""); break;
            case "no PDF": File.WriteAllText(file, "a letter to the printer"); break;
            case "encrypted": Tool.Run("qpdf", "--encrypt", "a", "b", "256", "--", good.X1a, file); break;
            case "cut off": File.WriteAllBytes(file, File.ReadAllBytes(good.X1a)[..9000]); break;
            case "deep arrays":
                File.WriteAllText(file,
                "%PDF-1.4\n1 0 obj\n<< /Type /Catalog /Pages 2 0 R /Odd " + new string('[', 400_000) +
                    " >>\nendobj\ntrailer << /Root 1 0 R >>\n%%EOF"); break;
            case "a form within itself":
                var loop = good.X1aOpen.Copy();
                var n = loop.Add("placeholder");
                loop.Swap("placeholder",
                    $"<< /Type /XObject /Subtype /Form /BBox [0 0 9 9] /Resources << /XObject << /Me {n} 0 R >> >> " +
                        $"/Length 1 >>\nstream\n/Me Do /Me Do /Me Do\nendstream");
                loop.With("XObject", "Me", $"{n} 0 R").Painting("/Me Do").Write(file);
                break;
            case "a tree within itself":
                good.X1aOpen.Copy()
                .Swap(new Regex(@"/Kids \[\s*(\d+ 0 R)"), "/Kids [ 2 0 R 2 0 R 3 0 R $1 2 0 R")
                .Swap(new Regex(@"/Count 1\b"), "/Count 90000").Write(file); break;
            case "a bomb":
                var bomb = good.X1aOpen.Copy();
                using (var packed = new MemoryStream())
                {
                    using (var z = new System.IO.Compression.ZLibStream(packed,
                        System.IO.Compression.CompressionLevel.Optimal, true))
                        for (var i = 0; i < 4000; i++) z.Write(new byte[100_000]);
                    var c = bomb.Add($"<< /Filter /FlateDecode /Length 1 " +
                        $">>\nstream\n{System.Text.Encoding.Latin1.GetString(packed.ToArray())}\nendstream");
                    bomb.Swap(new Regex(@"/Contents \d+ 0 R"), $"/Contents {c} 0 R").Write(file);
                }
                break;
            case "many pages":
                var pages = good.X1aOpen.Copy();
                var kids = string.Concat(Enumerable.Range(0, 6000)
                    .Select(_ => $"{pages.Add("<< /Type /Page /MediaBox [0 0 100 100] >>")} 0 R "));
                pages.Swap(new Regex(@"/Kids \[\s*(\d+ 0 R)"), $"/Kids [ $1 {kids}")
                    .Swap(new Regex(@"/Count 1\b"), "/Count 6001").Write(file);
                break;
            case "many objects":
                var many = good.X1aOpen.Copy();
                var refs = string.Concat(Enumerable.Range(0, 60_000).Select(i => $"{many.Add("<< /Odd 1 >>")} 0 R "));
                many.InCatalog($"/Odd [ {refs} ]")
                    .OnPage("/Annots [ << /Type /Annot /Subtype /Text /Rect [100 100 120 120] >> ]").Write(file);
                break;
            case "noise":
                var noise = new byte[300_000];
                new Random(7).NextBytes(noise);
                File.WriteAllBytes(file, [.. "%PDF-1.6\n"u8, .. noise]);
                break;
            default:
                File.WriteAllText(file,
                "%PDF-1.4\n1 0 obj\n2 0 R\nendobj\n2 0 obj\n1 0 R\nendobj\ntrailer << /Root 1 0 R /Size 3 >>\n%%EOF"); break;
        }
        var verdict = Judged(true, file);
        verdict.Accepted.ShouldBeFalse();
        verdict.Findings.ShouldAllBe(f => f.Why.Length > 10);
    }
}
