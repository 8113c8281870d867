using System.Text.Json;
using Lumbeck.Press.Kinds;
using Lumbeck.Press.Pdf;

namespace Lumbeck.Desk.Tests;

/// <summary>The command line, on a store that others use too.</summary>
public sealed class CommandLineTests : IDisposable
{
    private readonly string _folder = Directory.CreateTempSubdirectory("lumbeck-").FullName;

    public void Dispose() => Directory.Delete(_folder, recursive: true);

    private (int Exit, string Out, string Error) Run(params string[] arguments) =>
        CommandLine.Run(_folder, arguments);

    private static readonly string[] Novel = ["wrap", "--house", "tern", "--binding", "paperback", "--trim", "5.25x8in",
        "--pages", "312", "--leaf", "0.135mm"];

    [Fact]
    public void Help_that_is_told_at_once_is_the_help_that_is_made_of_the_verbs() =>
        CommandLine.Apart(_folder, "--help").Out.ShouldBe(CommandLine.Apart(_folder, "-?").Out);

    [Fact]
    public void A_job_is_packed_and_unpacked_and_what_is_no_pack_is_said_so()
    {
        var zip = Path.Combine(_folder, "calder.zip");
        Run("pack", "calder", "--out", zip)
            .ShouldSatisfyAllConditions(r => r.Exit.ShouldBe(0), r => r.Out.ShouldContain("Winter over Calder Sound"));
        Run("unpack", zip)
            .ShouldSatisfyAllConditions(r => r.Exit.ShouldBe(0),
                r => r.Out.ShouldStartWith("calder-2: Winter over Calder Sound"));
        File.WriteAllText(zip, "no zip");
        Run("unpack", zip)
            .ShouldSatisfyAllConditions(r => r.Exit.ShouldBe(2),
                r => r.Error.ShouldContain("this pack can’t be opened: it is damaged"));
        Run("unpack", zip + "x").Error.ShouldContain("there is no file");
    }

    [Fact]
    public void An_order_is_written_and_done_without_the_folder_and_ends_with_what_was_found()
    {
        string at(string name) => Path.Combine(_folder, name);
        Run("press", "hive", "--kind", "x1a", "--order", "--out", at("order.zip")).ShouldSatisfyAllConditions(
            r => r.Exit.ShouldBe(0), r => r.Out.ShouldContain("Do it with `lumbeck work`"));
        Run("press", "hive", "--kind", "x4", "--order", "--out", at("never.zip")).Error.ShouldContain("takes PDF/X-1a:2003");
        Directory.CreateDirectory(at("made"));
        var done = Run("work", at("order.zip"), "--to", at("made"), "--json");
        done.Exit.ShouldBe(0);
        using var said = JsonDocument.Parse(done.Out);
        said.RootElement.GetProperty("accepted").GetBoolean().ShouldBeTrue();
        var file = Directory.GetFiles(at("made")).ShouldHaveSingleItem();
        said.RootElement.GetProperty("file").GetString().ShouldBe(file);
        Convert.ToHexStringLower(System.Security.Cryptography.SHA256.HashData(File.ReadAllBytes(file)))
            .ShouldBe(said.RootElement.GetProperty("sha256").GetString());
        Run("press", "hive", "--kind", "x1a", "--out", at("same.pdf")).Exit.ShouldBe(0);
        File.ReadAllBytes(at("same.pdf")).ShouldBe(File.ReadAllBytes(file));
        Run("check", "trouble", "--order", at("check.zip")).Exit.ShouldBe(0);
        Run("work", at("check.zip"), "--to", at("made")).ShouldSatisfyAllConditions(r => r.Exit.ShouldBe(1),
            r => r.Out.ShouldContain("zone.fold"), r => r.Out.ShouldContain("4 stops"));
        Run("work", at("order.pdf"), "--to", at("made")).Error.ShouldContain("there is no file");
        Run("work", at("same.pdf"), "--to", at("made")).Error.ShouldContain("no order of Lumbeck’s");
        Run("work", at("order.zip"), "--to", at("nowhere")).Error.ShouldContain("there is no folder");
    }

    [Fact]
    public void Wrap_gives_the_sheet_as_the_vectors_name_it()
    {
        var (exit, output, _) = Run([.. Novel, "--json"]);
        exit.ShouldBe(0);
        var j = JsonDocument.Parse(output).RootElement;
        j.GetProperty("spine_mm").GetDecimal().ShouldBe(21.06m);
        j.GetProperty("sheet_mm").EnumerateArray().Select(n => n.GetDecimal()).ShouldBe([294.11m, 209.55m]);
        j.GetProperty("sheet_in")[0].GetDecimal().ShouldBe(11.579134m);
        j.GetProperty("folds_mm").EnumerateArray().Select(n => n.GetDecimal()).ShouldBe([136.525m, 157.585m]);
        j.GetProperty("panels").EnumerateArray().Select(p => p.GetProperty("name").GetString())
            .ShouldBe(["back", "spine", "front"]);
        j.GetProperty("zones").EnumerateArray().Select(z => z.GetProperty("kind").GetString())
            .ShouldContain("spine-safe");
        j.GetProperty("weight_g").ValueKind.ShouldBe(JsonValueKind.Null);
        j.GetProperty("sums").EnumerateArray().Select(s => s.GetProperty("text").GetString())
            .ShouldContain("156 leaves × 0.135 mm = 21.06 mm = 0.829 in");
    }

    [Theory]
    [InlineData("--ppi", "376", 21.076596)]
    [InlineData("--page-thickness", "0.0675 mm", 21.06)]
    [InlineData("--stock", "cream 90", 21.06)]
    public void Paper_can_be_given_in_any_of_its_views(string option, string value, double spine)
    {
        var (exit, output, error) = Run([.. Novel[..^2], option, value, "--json"]);
        exit.ShouldBe(0, error);
        JsonDocument.Parse(output).RootElement.GetProperty("spine_mm").GetDecimal().ShouldBe((decimal)spine);
    }

    [Fact]
    public void Every_binding_is_laid_out_and_several_sheets_are_all_given()
    {
        foreach (var kind in new[] { "front", "booklet", "loose", "case", "jacket" })
        {
            var (exit, output, error) = Run(["wrap", "--house", "tern", "--binding", kind, "--trim", "148x210mm",
                "--pages", "120", "--leaf", "0.104mm", "--json"]);
            exit.ShouldBe(0, error);
            var j = JsonDocument.Parse(output).RootElement;
            j.GetProperty("binding").GetString().ShouldBe(kind);
            j.TryGetProperty("sheets", out var sheets).ShouldBe(kind == "loose");
            if (kind == "loose")
                sheets.EnumerateArray().Select(s => s.GetProperty("panels")[0].GetProperty("name").GetString())
                    .ShouldBe(["front", "back"]);
            j.GetProperty("folds_y_mm").GetArrayLength().ShouldBe(kind == "case" ? 2 : 0);
        }
    }

    [Fact]
    public void What_a_house_would_not_bind_is_computed_all_the_same_and_said_beside()
    {
        var (exit, output, error) = Run(["wrap", "--house", "tern", "--binding", "case", "--trim", "8x5.25in",
            "--pages", "12", "--leaf", "0.1mm", "--json"]);
        exit.ShouldBe(0);
        JsonDocument.Parse(output).RootElement.GetProperty("binding").GetString().ShouldBe("case");
        error.ShouldContain("Tern & Tallow binds no case, only paperback.");
        error.ShouldContain("width and height may be swapped");
        error.ShouldContain("binds 24 to 900 pages so, not 12");
    }

    [Fact]
    public void Plates_dummies_endpapers_and_round_backs_are_taken_too()
    {
        string[] cased = ["wrap", "--house", "aldwater", "--binding", "case", "--trim", "138x216mm", "--pages", "200",
            "--leaf", "0.14mm", "--json"];
        decimal spine(params string[] more)
        {
            var (exit, output, error) = Run([.. cased, .. more]);
            exit.ShouldBe(0, error);
            return JsonDocument.Parse(output).RootElement.GetProperty("spine_mm").GetDecimal();
        }
        spine().ShouldBe(19);
        spine("--back", "round").ShouldBe(21);
        spine("--endpapers", "0.6mm").ShouldBe(19.5m);
        spine("--dummy", "15.2mm").ShouldBe(20);
        // 92 × 0.14 + 8 × 0.3 + 5.
        spine("--plates", "16", "--plates-leaf", "0.3mm").ShouldBe(20.5m);
        Run([.. cased, "--plates", "15", "--plates-leaf", "0.3mm"]).Error.ShouldContain("type 16");
        Run([.. cased, "--plates", "16"]).Error.ShouldContain("--plates-leaf");
        Run([.. cased, "--back", "hollow"]).Exit.ShouldBe(2);
        Run([.. cased, "--flaps", "3in", "--trim", "900x600mm"]).Exit.ShouldBe(2);
    }

    [Fact]
    public void A_template_is_written_in_each_kind_and_refused_in_words()
    {
        string[] blank = ["template", "--house", "plover", "--binding", "loose", "--trim", "148x210mm", "--pages", "80",
            "--stock", "offset 80"];
        foreach (var (kind, head) in ((string, string)[])[("pdf", "%PDF-1.6"), ("svg", "<?xml"), ("png", "PNG")])
        {
            var file = Path.Combine(_folder, "blank." + kind);
            var (exit, output, error) = Run([.. blank, "--kind", kind, "--out", file, "--panel", "back"]);
            exit.ShouldBe(0, error);
            output.ShouldContain("154 × 216 mm");
            System.Text.Encoding.Latin1.GetString(File.ReadAllBytes(file)[..12]).ShouldContain(head);
        }
        Run([.. blank, "--kind", "tiff", "--out", "x"])
            .Error.ShouldContain("`tiff` is no kind of template: take pdf, svg, png");
        Run([.. blank, "--kind", "pdf", "--out", "none/x.pdf"]).Error.ShouldContain("there is no folder");
        Run([.. blank, "--kind", "pdf", "--out", "x.pdf", "--panel", "spine"])
            .Error.ShouldContain("this sheet has no spine");
        Run([.. blank, "--kind", "pdf", "--out", "x.pdf", "--panel", "belly"]).Error.ShouldContain("take front, back");
    }

    [Fact]
    public void Explain_says_whether_a_printer_s_figures_agree_and_what_went_wrong_where_they_do_not()
    {
        string[] explain = ["explain", .. Novel[1..], "--json", "--given"];
        JsonDocument.Parse(Run([.. explain, "11.58x8.25in"]).Out).RootElement.GetProperty("agrees").GetBoolean()
            .ShouldBeTrue();
        var j = JsonDocument.Parse(Run([.. explain, "11.33x8in"]).Out).RootElement;
        j.GetProperty("agrees").GetBoolean().ShouldBeFalse();
        j.GetProperty("computed_mm")[0].GetDecimal().ShouldBe(294.11m);
        j.GetProperty("causes")[0].GetProperty("id").GetString().ShouldBe("no-bleed");
        j.GetProperty("implied").GetProperty("spine_mm").GetDecimal().ShouldBe(14.732m);
        Run([.. explain, "11.33"]).Error.ShouldContain("--given: `11.33` is no size");
    }

    [Fact]
    public void Grammage_and_bulk_pin_flaps_and_direction_are_taken()
    {
        var j = JsonDocument.Parse(Run([.. Novel[..^2], "--gsm", "90", "--bulk", "1.5", "--spine", "21.082mm",
            "--flaps", "3in", "--direction", "rtl", "--json"])
            .Out)
            .RootElement;
        j.GetProperty("spine_mm").GetDecimal().ShouldBe(21.082m);
        j.GetProperty("panels").EnumerateArray().Select(p => p.GetProperty("name").GetString())
            .ShouldBe(["front-flap", "front", "spine", "back", "back-flap"]);
        j.GetProperty("weight_g").GetDecimal().ShouldBeGreaterThan(380);
    }

    [Theory]
    [InlineData("--trim", "6x", "--trim: `6x` needs a height")]
    [InlineData("--pages", "many", "--pages: `many` is no whole number")]
    [InlineData("--pages", "0", "--pages: 0 pages make no book")]
    [InlineData("--pages", "-4", "--pages: -4 pages make no book")]
    [InlineData("--pages", "90000", "--pages: 90000 pages can't be bound in one volume: the most is 5000")]
    [InlineData("--trim", "0x8in", "--trim: a trim of 0 × 8 in is under")]
    [InlineData("--trim", "-5x8in", "--trim: a trim of -5 × 8 in is under")]
    [InlineData("--trim", "378x576in", "--trim: a trim of 378 × 576 in is over")]
    [InlineData("--leaf", "5mm", "--leaf: a leaf of 5 mm can't be: papers run from 0.02 mm to 1.5 mm")]
    [InlineData("--leaf", "0", "--leaf: a leaf of 0 mm can't be")]
    [InlineData("--flaps", "9in", "--flaps: a flap of 9 in must lie between")]
    [InlineData("--spine", "900mm", "--spine: a spine of")]
    [InlineData("--binding", "glue", "--binding: `glue` is no binding")]
    [InlineData("--house", "nobody", "--house: no printer is called `nobody`")]
    [InlineData("--house", "missing.json", "there is no file `missing.json`")]
    [InlineData("--direction", "up", "--direction: `up`")]
    [InlineData("--leaf", "9 mm of card", "--leaf: `9 mm of card` is no length")]
    public void What_cannot_be_read_is_one_sentence_and_exit_2(string option, string value, string says)
    {
        var arguments = (string[])[.. Novel];
        var at = Array.IndexOf(arguments, option);
        arguments = at >= 0
            ? [.. arguments[..(at + 1)], value, .. arguments[(at + 2)..]]
            : [.. arguments, option, value];
        var (exit, output, error) = Run(arguments);
        exit.ShouldBe(2);
        output.ShouldBeEmpty();
        error.ShouldContain(says);
        error.Trim().Split('\n').ShouldHaveSingleItem();
        error.ShouldNotContain("   at ");
    }

    [Fact]
    public void A_house_file_of_one_s_own_is_taken_or_refused_by_key()
    {
        File.WriteAllText(Path.Combine(_folder, "mine.json"), """{ "name": "Mine", "bleed_mm": 5, "page_multiple": 4 }""");
        var j = JsonDocument.Parse(Run("wrap", "--house", "mine.json", "--binding", "paperback", "--trim", "148x210",
            "--pages", "118", "--leaf", "0.104", "--json")
            .Out)
            .RootElement;
        j.GetProperty("pages").GetInt32().ShouldBe(120);
        j.GetProperty("sheet_mm")[1].GetDecimal().ShouldBe(220);
        File.WriteAllText(Path.Combine(_folder, "bad.json"), """{ "bleed": 5 }""");
        Run("wrap", "--house", "bad.json", "--binding", "paperback", "--trim", "148x210", "--pages", "118", "--leaf",
            "0.104")
            .Error
            .ShouldContain("no printer has a key `bleed`: did you mean `bleed_mm`?");
    }

    /// <summary>Pages of a file are held to what a job's are: what stops them is told, and they are not written.</summary>
    [Theory]
    [InlineData("""{ "design": "ruled", "pages": 40, "settings": { "heading": "{nobody}", "header_mm": 12 } }""",
        "tern", "x4", "page.fields")]
    [InlineData("""{ "design": "ruled", "pages": 2 }""", "tern", "x4", "ticket.pages")]
    [InlineData("""{ "design": "ruled", "pages": 40 }""", "tern", "x1a", "press.kind")]
    [InlineData("""{ "design": "letters-to-trace", "pages": 1 }, { "design": "ruled", "pages": 60 }""", "tern", "x4", "inside.rows")]
    public void Pages_of_a_file_that_Check_stops_are_written_only_where_it_is_said(string runs, string house, string kind, string rule)
    {
        File.WriteAllText(Path.Combine(_folder, "runs.json"), $$"""{ "pages": "free", "runs": [{{runs}}] }""");
        string[] words = ["inside", "--runs", "runs.json", "--house", house, "--trim", "5x8in", "--kind", kind, "--out", "out.pdf"];
        var (exit, _, error) = Run(words);
        exit.ShouldBe(1);
        error.ShouldContain(rule);
        File.Exists(Path.Combine(_folder, "out.pdf")).ShouldBeFalse();
        Run([.. words, "--anyway"]).Exit.ShouldBe(0);
        File.Exists(Path.Combine(_folder, "out.pdf")).ShouldBeTrue();
    }

    [Fact]
    public void Jobs_check_and_press_share_a_store_with_a_desk_that_is_open()
    {
        var desk = new AppServices(DemoData.In(Path.Combine(_folder, "data")), TimeProvider.System, DemoBench.Load);
        JsonDocument.Parse(CommandLine.Apart(_folder, "jobs", "--json").Out).RootElement[0].GetProperty("slug").GetString()
            .ShouldBe("tidewatcher");

        CommandLine.Apart(_folder, "check", "tidewatcher").Exit.ShouldBe(0);
        desk.Jobs.Apply("tidewatcher", new("edit-from-desk", "desk", j => Facts.Write(j, "item/author/size", "80 pt")));
        var (exit, output, _) = CommandLine.Apart(_folder, "check", "tidewatcher", "--json");
        exit.ShouldBe(1);
        var finding = JsonDocument.Parse(output).RootElement.GetProperty("findings").EnumerateArray().First();
        (finding.GetProperty("severity").GetString(), finding.GetProperty("item").GetString(),
            finding.GetProperty("panel").GetString())
            .ShouldBe(("stop", "author", "front"));
        finding.GetProperty("place_mm").GetArrayLength().ShouldBe(4);

        desk.Jobs.Undo("tidewatcher", "desk");
        CommandLine.Apart(_folder, "press", "tidewatcher", "--kind", "x4", "--out", "cover.pdf").Exit.ShouldBe(0);
        using var expected = new MemoryStream();
        desk.Pressing.WritePress(desk.Jobs.Job("tidewatcher"), new(PressKind.X4), expected);
        File.ReadAllBytes(Path.Combine(_folder, "cover.pdf")).AsSpan().SequenceEqual(expected.ToArray()).ShouldBeTrue();
        Directory.GetFiles(_folder, "*.part").ShouldBeEmpty();
    }

    [Fact]
    public void Every_kind_is_pressed_and_reception_takes_or_rejects_a_file_with_its_exit_code()
    {
        foreach (var (kind, more) in ((string, string[])[])[("pdf", ["--rgb"]), ("proof", ["--zones"]),
            ("mockup", ["--letter"]), ("x4", ["--panel", "front"]), ("x1a", ["--house", "plover"])])
            Run(["press", "tidewatcher", "--kind", kind, "--out", $"{kind}.pdf", .. more]).Exit.ShouldBe(0);
        Run("press", "tidewatcher", "--kind", "screen", "--pixels", "800", "--out", "front.jpg").Exit.ShouldBe(0);
        Run("press", "tidewatcher", "--kind", "x4", "--out", "cover.pdf").Exit.ShouldBe(0);
        Run("intake", "cover.pdf", "--job", "tidewatcher").Out.Trim().ShouldBe("Tern & Tallow: accepted.");
        Run("intake", "x1a.pdf", "--job", "tidewatcher", "--house", "plover").Exit.ShouldBe(0);
        var (exit, output, _) = Run("intake", "cover.pdf", "--job", "hive", "--json");
        exit.ShouldBe(1);
        var verdict = JsonDocument.Parse(output).RootElement;
        verdict.GetProperty("accepted").GetBoolean().ShouldBeFalse();
        verdict.GetProperty("findings").EnumerateArray().Select(f => f.GetProperty("id").GetString())
            .ShouldContain("standard");
        // A house that takes another standard is named; a kind nobody makes is refused.
        Run("press", "tidewatcher", "--kind", "x1a", "--out", "odd.pdf")
            .Error.ShouldContain("takes PDF/X-4 or PDF, not PDF/X-1a:2003");
        Run("press", "tidewatcher", "--kind", "x9", "--out", "odd.pdf")
            .Error.ShouldContain("take x4, x1a, pdf, proof, screen, mockup");
        Run("press", "tidewatcher", "--kind", "x4", "--panel", "flap", "--out", "odd.pdf").Exit.ShouldBe(2);
        Run("intake", "nowhere.pdf", "--job", "tidewatcher").Error.ShouldContain("there is no file");
        var check = JsonDocument.Parse(Run("check", "trouble", "--json").Out).RootElement;
        check.GetProperty("stops").GetInt32().ShouldBe(4);
    }

    [Fact]
    public void A_data_folder_that_cannot_be_used_is_named()
    {
        Run("jobs", "--data", "/proc/nowhere").Error.ShouldContain("/proc/nowhere can't be used as a data folder");
        var other = Directory.CreateDirectory(Path.Combine(_folder, "other")).FullName;
        File.WriteAllText(Path.Combine(other, "lumbeck.db"), new string('x', 5000));
        var (exit, _, error) = Run("jobs", "--data", other);
        exit.ShouldBe(2);
        error.ShouldContain("lumbeck.db in it is damaged");
        error.Trim().Split('\n').ShouldHaveSingleItem();
    }

    [Theory]
    [InlineData("check", "nowhere", "no job is called `nowhere`")]
    [InlineData("press", "tidewatcher", "--out")]
    [InlineData("fold", "tidewatcher", "fold")]
    public void A_wrong_verb_or_job_is_named(string verb, string job, string says)
    {
        var (exit, _, error) = Run(verb, job);
        exit.ShouldBe(2);
        error.ShouldContain(says);
    }
}
