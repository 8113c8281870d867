using System.Text.Json;

namespace Lumbeck.Core.Tests;

public sealed class HouseTests
{
    private static readonly JsonSerializerOptions Readable = new() { Encoder = System.Text.Encodings.Web.JavaScriptEncoder.UnsafeRelaxedJsonEscaping };

    [Fact]
    public void Tern_and_Tallow_is_as_the_vectors_have_it()
    {
        using var vectors = JsonDocument.Parse(File.ReadAllText(Path.Combine(AppContext.BaseDirectory, "vectors", "geometry.json")));
        var asked = vectors.RootElement.GetProperty("houses").GetProperty("tern");
        var tern = HouseFile.Shipped["tern"];
        foreach (var p in asked.EnumerateObject())
        {
            var key = HouseKeys.All.Single(k => k.Name == p.Name);
            // Read into the shipped house, the vector's value must change nothing.
            JsonSerializer.Serialize(key.Write(key.Read(tern, p.Value))).ShouldBe(JsonSerializer.Serialize(key.Write(tern)), p.Name);
        }
    }

    [Fact]
    public void Every_rule_of_a_house_has_a_key_that_says_what_it_means()
    {
        HouseKeys.All.Select(k => k.Name).ShouldBeUnique();
        HouseKeys.All.ShouldAllBe(k => k.Means.EndsWith('.') && k.Means.Length > 15);
        // A record member that no key reaches could not be set by a file.
        typeof(House).GetProperties().Count(p => p.CanWrite).ShouldBe(HouseKeys.All.Count);
    }

    [Fact]
    public void The_manual_of_house_files_lists_every_key_with_its_meaning_and_default()
    {
        var root = new DirectoryInfo(AppContext.BaseDirectory);
        while (!File.Exists(Path.Combine(root.FullName, "Lumbeck.slnx"))) root = root.Parent!;
        var manual = Path.Combine(root.FullName, "docs", "house-file.md");
        static string shown(object? value) => value is null ? "blank" : $"`{JsonSerializer.Serialize(value, Readable)}`";
        var rows = HouseKeys.All.Select(k => $"| `{k.Name}` | {k.Means} | {shown(k.Default)} |");
        var text = $"""
            # The keys of a house file

            A house is a printer's rules as one JSON object. Lengths are millimetres under names that end in `_mm`, type sizes points under `_pt`, resolutions pixels per inch under `_ppi`. A key left out takes the trade's default; an unknown key or an impossible value is refused by name.

            | key | what it means | default |
            |---|---|---|
            {string.Join('\n', rows)}

            """.ReplaceLineEndings("\n");
        // LUMBECK_WRITE_MANUAL=1 writes it anew.
        if (Environment.GetEnvironmentVariable("LUMBECK_WRITE_MANUAL") == "1") File.WriteAllText(manual, text);
        File.ReadAllText(manual).ShouldBe(text);
    }

    [Fact]
    public void A_house_written_out_reads_back_the_same()
    {
        var tern = HouseFile.Shipped["tern"] with { HingeScore = Length.FromMillimetres(6), RichBlack = Ink.Percent(40, 30, 20, 100), Severities = ImmutableDictionary<string, Severity>.Empty.Add("zone.trim", Severity.Caution) };
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
    [InlineData("""{ "bleed": 3 }""", "bleed", "no house has a key `bleed`: did you mean `bleed_mm`?")]
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
}
