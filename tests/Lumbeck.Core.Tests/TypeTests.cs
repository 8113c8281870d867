namespace Lumbeck.Core.Tests;

public sealed class TypeTests
{
    private static TextLayout Set(string words, double width, double height = 1000, TextStyle? style = null) =>
        Typesetter.Set(words, style ?? Sample.Style(10), width, height, new PlainType());

    [Fact]
    public void Lines_break_greedily_at_spaces_and_after_dashes()
    {
        // At 10 pt a letter is 5 pt wide: eight fit in 40 pt.
        Set("one two three four", 40).Lines.Select(l => l.Text).ShouldBe(["one two", "three", "four"]);
        Set("tide-house", 30).Lines.Select(l => l.Text).ShouldBe(["tide-", "house"]);
        Set("sea—door", 25).Lines.Select(l => l.Text).ShouldBe(["sea—", "door"]);
        Set("a\n\nb", 40).Lines.Select(l => l.Text).ShouldBe(["a", "", "b"]);
    }

    [Theory]
    [InlineData(Align.Left, 0)]
    [InlineData(Align.Centre, 15)]
    [InlineData(Align.Right, 30)]
    public void Lines_stand_where_they_are_aligned(Align align, double x) =>
        Set("four", 50, style: Sample.Style(10) with { Align = align }).Lines[0].X.ShouldBe(x, 1e-9);

    [Fact]
    public void Tracking_widens_between_letters_only_and_parts_ligatures()
    {
        var tracked = Set("fin", 100, style: Sample.Style(10) with { Tracking = 100 }).Lines[0];
        tracked.Width.ShouldBe(15 + 2, 1e-9);
        tracked.Glyphs.Count().ShouldBe(3);
        Set("fin", 100).Lines[0].Glyphs.Select(g => g.Letters).ShouldBe(["fi", "n"]);
    }

    [Fact]
    public void Leading_is_from_baseline_to_baseline_and_a_foot_stands_at_the_foot()
    {
        var style = Sample.Style(10) with { Leading = 1.5m };
        var lines = Set("a\nb", 100, 100, style).Lines;
        (lines[1].Baseline - lines[0].Baseline).ShouldBe(15, 1e-9);
        // Half the leading's surplus above ascent: (15 − 10) / 2 + 8.
        lines[0].Baseline.ShouldBe(10.5, 1e-9);
        Set("a", 100, 100, style with { Stand = Stand.Foot }).Lines[0].Baseline.ShouldBe(98, 1e-9);
    }

    [Fact]
    public void Words_that_do_not_fit_are_named()
    {
        Set("one two three", 40, 12).Overset.ShouldBe("three");
        Set("immeasurable", 40).Overset.ShouldBe("immeasurable");
        Set("one two", 40, 12).Overset.ShouldBeNull();
    }

    [Fact]
    public void Characters_a_face_lacks_are_named_once() =>
        Set("QuQ", 100).Missing.Select(r => r.ToString()).ShouldBe(["Q"]);

    [Fact]
    public void Fifty_thousand_words_are_set_and_the_rest_is_overset()
    {
        var set = Set(string.Join(' ', Enumerable.Repeat("water", 50_000)), 200, 300);
        set.Lines.Length.ShouldBeLessThan(40);
        set.Overset.ShouldNotBeNull();
    }

    [Fact]
    public void Lone_surrogates_and_marks_without_base_do_not_break_the_setting()
    {
        Set("a\ud800 \u0301 b\udc00", 20).Lines.Length.ShouldBeGreaterThan(0);
        Set("\u200B\u200B  ", 20).Overset.ShouldBeNull();
    }

    /// <summary>Words in the order that their language lists them in.</summary>
    [Theory]
    [InlineData("en", "Äpfel|apple|azure|école|eel|zebra")]
    [InlineData("de", "Ärger|Arm|Ofen|Öl|Zoll")]
    [InlineData("sv", "apa|zebra|åka|ärta|öga")]
    [InlineData("da", "zebra|æble|øl|å")]
    [InlineData("cs", "cesta|čaj|hora|chata|ruka|řeka")]
    [InlineData("es", "nube|ñandú|oso")]
    [InlineData("hu", "cukor|csak|dal")]
    [InlineData("pl", "las|łaska|mak|żaba")]
    [InlineData("tr", "cam|çam|ılık|ilik")]
    [InlineData("uk", "гай|ґава|дім|еха|єдність|ивр|іва|їжа")]
    [InlineData("en", "ice age|ice cream|iceberg|Iceberg")]
    public void An_index_follows_the_alphabet_of_its_language(string language, string words)
    {
        var sorted = words.Split('|');
        string[] mixed = [.. sorted.Reverse()];
        mixed.Order(new AlphabeticalOrder(language)).ShouldBe(sorted);
    }
}
