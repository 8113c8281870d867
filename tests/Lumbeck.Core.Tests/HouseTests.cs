using System.Text.Json;

namespace Lumbeck.Core.Tests;

public sealed class HouseTests
{
    private static readonly JsonSerializerOptions Readable =
        new() { Encoder = System.Text.Encodings.Web.JavaScriptEncoder.UnsafeRelaxedJsonEscaping };

    [Fact]
    public void Tern_and_Tallow_is_as_the_vectors_have_it()
    {
        using var vectors = JsonDocument.Parse(File.ReadAllText(Path.Combine(AppContext.BaseDirectory, "vectors",
            "geometry.json")));
        var asked = vectors.RootElement.GetProperty("houses").GetProperty("tern");
        var tern = HouseFile.Shipped["tern"];
        foreach (var p in asked.EnumerateObject())
        {
            var key = HouseKeys.All.Single(k => k.Name == p.Name);
            // Read into the shipped house, the vector's value must change nothing.
            JsonSerializer.Serialize(key.Write(key.Read(tern, p.Value)))
                .ShouldBe(JsonSerializer.Serialize(key.Write(tern)), p.Name);
        }
    }

    [Fact]
    public void Every_rule_of_a_house_has_a_key_that_says_what_it_means()
    {
        HouseKeys.All.Select(k => k.Name).ShouldBeUnique();
        HouseKeys.All.ShouldAllBe(k => k.Means.EndsWith('.') && k.Means.Length > 15);
        // A record member that no key reaches could not be set by a file.
        (typeof(House).GetProperties().Count(p => p.CanWrite && p.PropertyType != typeof(InsideRules))
            + typeof(InsideRules).GetProperties().Count(p => p.CanWrite)).ShouldBe(HouseKeys.All.Count);
    }

    [Fact]
    public void The_manual_of_house_files_lists_every_key_with_its_meaning_and_default()
    {
        static string shown(object? value) =>
            value is null ? "blank" : $"`{JsonSerializer.Serialize(value, Readable)}`";
        var rows = HouseKeys.All.Select(k => $"| `{k.Name}` | {k.Means} | {shown(k.Default)} |");
        var text = $"""
            # The keys of a house file

            A house is a printer's rules as one JSON object. Lengths are millimetres under names that end in `_mm`, type
            sizes points under `_pt`, resolutions pixels per inch under `_ppi`. A key left out takes the trade's
            default; an unknown key or an impossible value is refused by name. Besides the keys there may be `form`, the
            form the file is in (docs/stored-forms.md); this is form {Core.Stored.StoredForm.Current}.

            | key | what it means | default |
            |---|---|---|
            {string.Join('\n', rows)}

            """.ReplaceLineEndings("\n");
        Manual.Is("docs/house-file.md", text);
    }

    /// <summary>
    /// What a printer asks moves every cover that is made for it: a figure is changed in its file and in the table that
    /// people read, or in neither.
    /// </summary>
    [Fact]
    public void The_manual_of_the_houses_that_ship_says_every_figure_of_theirs()
    {
        var houses = HouseFile.Shipped.Values.OrderBy(h => h.Id, StringComparer.Ordinal).ToList();
        // Lengths as the file has them: what a person is shown is rounded.
        static string said(HouseKey k, House h) => k.Kind is KeyKind.Length or KeyKind.Size
            ? JsonSerializer.Serialize(k.Write(h)) is "null" ? "" : JsonSerializer.Serialize(k.Write(h))
            : HouseText.Show(k, h);
        static string cell(string said) => said.Length == 0 ? "–" : said.Replace("|", "\\|").ReplaceLineEndings("<br>");
        var rows = HouseKeys.All.Select(k =>
            $"| `{k.Name}` | {string.Join(" | ", houses.Select(h => cell(said(k, h))))} |");
        Manual.Is("docs/houses.md", $"""
            # The printers that ship

            Four invented printers that differ where printers do, lengths in millimetres as their files have them; what a
            key means says [the manual of house files](house-file.md). They are read by everyone and changed by no one:
            duplicate one to have your own.

            | key | {string.Join(" | ", houses.Select(h => h.Name))} |
            |---|{string.Concat(houses.Select(_ => "---|"))}
            {string.Join('\n', rows)}

            """.ReplaceLineEndings("\n"));
    }

    [Fact]
    public void A_house_written_out_reads_back_the_same()
    {
        var tern = HouseFile.Shipped["tern"] with
        {
            HingeScore = Length.FromMillimetres(6),
            RichBlack = Ink.Percent(40, 30, 20, 100),
            Severities = ImmutableDictionary<string, Severity>.Empty.Add("zone.trim", Severity.Caution),
        };
        var written = HouseFile.Write(tern);
        HouseFile.Write(HouseFile.Read(written)).ShouldBe(written);
    }

    [Fact]
    public void A_key_left_out_takes_the_trade_s_default()
    {
        var house = HouseFile.Read("""{ "name": "Anywhere" }""");
        house.Bleed.ShouldBe(Length.FromMillimetres(3));
        house.PanelBeyond.ShouldBe(house.Square);
        house.ForeEdge.ShouldBe(house.Board + Length.FromMillimetres(1));
    }

    [Theory]
    [InlineData("""{ "bleed": 3 }""", "bleed", "no printer has a key `bleed`: did you mean `bleed_mm`?")]
    [InlineData("""{ "bleed_mm": -1 }""", "bleed_mm", "`bleed_mm` can't be `-1`: it takes from 0 to 500 mm")]
    [InlineData("""{ "bleed_mm": "3 mm" }""", "bleed_mm", "a number from 0 to 500 mm")]
    [InlineData("""{ "marks": "some" }""", "marks", "one of `none`, `crop`, `crop-and-bleed`")]
    [InlineData("""{ "page_multiple": 2.5 }""", "page_multiple", "a whole number")]
    [InlineData("""{ "papers": [{ "name": "Cream" }] }""", "papers", "needs a thickness")]
    [InlineData("""{ "papers": [{ "name": "Cream", "colour": "x" }] }""", "papers.colour", "a paper has no `colour`")]
    [InlineData("""{ "spine_rounding": "up" }""", "spine_step_mm", "needs a step")]
    [InlineData("""{ "pages_min": 100, "pages_max": 50 }""", "pages_min", "swap them")]
    [InlineData("""{ "rich_black": [60, 40, 40] }""", "rich_black", "four numbers")]
    [InlineData("""[1, 2]""", "", "one JSON object")]
    [InlineData("""{ "name": """, "", "no JSON")]
    public void A_wrong_house_file_is_refused_key_by_key(string json, string key, string says)
    {
        var refusal = Should.Throw<Refusal>(() => HouseFile.Read(json));
        refusal.Path.ShouldBe(key);
        refusal.Message.ShouldContain(says);
    }

    public static TheoryData<string> Shipped() => [.. HouseFile.Shipped.Keys];

    [Theory]
    [MemberData(nameof(Shipped))]
    public void A_house_is_written_read_and_shown_without_loss(string id)
    {
        var house = HouseFile.Shipped[id];
        HouseFile.Write(HouseFile.Read(HouseFile.Write(house))).ShouldBe(HouseFile.Write(house));
        foreach (var key in HouseKeys.All)
        {
            var shown = HouseText.Show(key, house);
            // Typed anew in a house that has another value there, the same text gives the same figure as shown.
            if (key.Name is "id" || shown.Length == 0) continue;
            HouseText.Show(key,
                HouseText.Write(key,
                    new House
                    {
                        Unit = house.Unit,
                        PagesMost = 5000,
                        BookletPagesMost = 400,
                        SpineStep = house.SpineStep ?? Length.FromMillimetres(1),
                        TrimMost = Size.FromMillimetres(500, 500),
                    },
                    shown))
                .ShouldBe(shown, key.Name);
            HouseText.Write(key, house, shown).ShouldBeSameAs(house);
        }
    }

    [Fact]
    public void The_houses_differ_wherever_printers_really_differ()
    {
        string[] differ = ["bindings", "papers", "trims", "page_multiple", "pages_min", "cover_allowance_mm",
            "spine_rounding", "spine_text_pages", "bleed_mm", "trim_safe_mm", "barcode_corner", "barcode_by", "kinds",
            "marks", "file_name", "finishes", "colour", "ink_limit_percent", "profile_embedded", "spine_reading"];
        foreach (var name in differ)
            HouseFile.Shipped.Values.Select(h => HouseText.Show(HouseKeys.Find(name)!, h)).Distinct().Count()
                .ShouldBeGreaterThan(1, name);
        foreach (var house in HouseFile.Shipped.Values)
            foreach (var paper in house.Papers)
                foreach (var binding in house.Bindings)
                    _ = WrapGeometry.Of(new BookFacts(binding, Reading.LeftToRight, house.Trims[0].Size, 120, paper),
                        house);
    }

    [Theory]
    [InlineData("bleed_mm", "Paperback")]
    [InlineData("trim_safe_mm", "Paperback")]
    [InlineData("fold_safe_mm", "Paperback")]
    [InlineData("spine_safe_mm", "Paperback")]
    [InlineData("page_multiple", "Paperback")]
    [InlineData("spine_text_pages", "Paperback")]
    [InlineData("spine_text_mm", "Paperback")]
    [InlineData("cover_allowance_mm", "Paperback")]
    [InlineData("hinge_score_mm", "Paperback")]
    [InlineData("barcode_room_mm", "Paperback")]
    [InlineData("barcode_corner", "Paperback")]
    [InlineData("flap_mm", "Paperback")]
    [InlineData("paperback_flap_ease_mm", "Paperback")]
    [InlineData("punch_band_mm", "Loose")]
    [InlineData("turn_in_mm", "Case")]
    [InlineData("board_mm", "Case")]
    [InlineData("square_mm", "Case")]
    [InlineData("joint_mm", "Case")]
    [InlineData("case_bleed_mm", "Case")]
    [InlineData("panel_allowance_mm", "Case")]
    [InlineData("endpapers_mm", "Case")]
    [InlineData("round_back_factor", "Case")]
    [InlineData("spine_ease_mm", "Jacket")]
    [InlineData("fore_edge_allowance_mm", "Jacket")]
    public void A_figure_that_moves_something_shows_what_on_the_binding_it_belongs_to(string name, string binding)
    {
        foreach (var house in HouseFile.Shipped.Values.Where(h => h.Bindings.Any(b => b.ToString() == binding))
            .DefaultIfEmpty(HouseFile.Shipped["tern"]))
        {
            var move = KeyMoves.Of(house, HouseKeys.Find(name)!).ShouldNotBeNull(house.Name);
            move.From.ShouldNotBe(move.To);
            move.Was.Sheets.Zip(move.Is.Sheets).ShouldContain(p => Changes.Moves(p.First, p.Second));
        }
        KeyMoves.Of(HouseFile.Shipped["tern"], HouseKeys.Find("ink_limit_percent")!).ShouldBeNull();
        HouseKeys.Groups.ShouldAllBe(g => HouseKeys.Find(g.First) != null);
        HouseKeys.ReadBy(HouseKeys.Find("ink_limit_percent")!).ShouldBe("it is read when the file is made");
    }

    [Theory]
    [InlineData("bleed_mm", "wide", "bleed_mm")]
    [InlineData("bleed_mm", "-1", "bleed_mm")]
    [InlineData("bleed_mm", "700 mm", "bleed_mm")]
    [InlineData("page_multiple", "2.5", "page_multiple")]
    [InlineData("pages_min", "2000", "pages_min")]
    [InlineData("papers", "Cream", "papers")]
    [InlineData("papers", "Cream; thick", "papers")]
    [InlineData("papers", "Cream; 9 mm", "papers.leaf_mm")]
    [InlineData("trims", "5", "trims")]
    [InlineData("severities", "ticket.trim", "severities")]
    [InlineData("severities", "ticket.trim: loud", "severities")]
    [InlineData("bindings", "paperback, scroll", "bindings")]
    [InlineData("rich_black", "1 2 3", "rich_black")]
    [InlineData("marks", "some", "marks")]
    [InlineData("flaps", "perhaps", "flaps")]
    public void A_figure_that_cannot_be_is_refused_by_its_key(string name, string typed, string path) =>
        Should.Throw<Refusal>(() => HouseText.Write(HouseKeys.Find(name)!, HouseFile.Shipped["tern"], typed))
            .Path.ShouldBe(path);
}
