namespace Lumbeck.Core.Tests.Letters;

/// <summary>Unicode's own conformance files (Debian package unicode-data), every line of them.</summary>
public sealed class UnicodeTests
{
    private const string Data = "/usr/share/unicode/";

    private static int[] Points(string hex) =>
        [.. hex.Split(' ', StringSplitOptions.RemoveEmptyEntries)
            .Select(h => int.Parse(h, NumberStyles.HexNumber, CultureInfo.InvariantCulture))];

    [Fact]
    public void Directions_are_those_of_BidiCharacterTest()
    {
        var (lines, wrong) = (0, new List<string>());
        foreach (var line in File.ReadLines(Data + "BidiCharacterTest.txt"))
        {
            if (line.Length == 0 || line[0] == '#') continue;
            lines++;
            var field = line.Split(';');
            var (levels, level) = BidiAlgorithm.Resolve(Points(field[0]), field[1] switch { "0" => 0, "1" => 1,
                _ => null });
            var wanted = field[3].Split(' ');
            if (level != int.Parse(field[2], CultureInfo.InvariantCulture)
                || wanted.Where((w, i) => w != "x" && w != levels[i].ToString(CultureInfo.InvariantCulture)).Any())
                wrong.Add(line + " → " + string.Join(' ', levels));
        }
        lines.ShouldBeGreaterThan(90_000);
        wrong.Take(5).ShouldBeEmpty();
    }

    [Fact]
    public void Lines_break_where_LineBreakTest_has_it()
    {
        var (lines, wrong) = (0, new List<string>());
        foreach (var line in File.ReadLines(Data + "auxiliary/LineBreakTest.txt"))
        {
            if (line.Length == 0 || line[0] == '#') continue;
            lines++;
            var marks = line[..line.IndexOf('#', StringComparison.Ordinal)]
                .Split((char[])[' ', '\t'], StringSplitOptions.RemoveEmptyEntries);
            var points = Points(string.Join(' ', marks.Where(m => m is not ("×" or "÷"))));
            // Between each two characters stands whether a line may break there.
            var wanted = marks.Where(m => m is "×" or "÷").Skip(1).SkipLast(1).Select(m => m == "÷").ToList();
            if (!LineBreakAlgorithm.Of(points).Skip(1).Select(b => b != LineBreakAlgorithm.At.None).SequenceEqual(wanted))
                wrong.Add(line);
        }
        lines.ShouldBeGreaterThan(7_000);
        wrong.Take(5).ShouldBeEmpty();
    }

    [Theory]
    [InlineData("en-us", "hyphenation", "hy-phen-ation")]
    [InlineData("en-us", "justification", "jus-ti-fi-ca-tion")]
    [InlineData("en", "hyphenation", "hy-phen-a-tion")]
    [InlineData("en", "photography", "pho-to-graphy")]
    [InlineData("en", "water", "water")]
    [InlineData("de", "Rechtsschutz", "Rechts-schutz")]
    [InlineData("de", "Straßenbahn", "Stra-ßen-bahn")]
    [InlineData("de", "RECHTSSCHUTZ", "RECHTS-SCHUTZ")]
    [InlineData("fr", "hirondelle", "hi-ron-delle")]
    [InlineData("es", "murciélago", "mur-cié-la-go")]
    [InlineData("it", "finestra", "fi-ne-stra")]
    [InlineData("nl", "waterstand", "wa-ter-stand")]
    [InlineData("pl", "książeczka", "ksią-żecz-ka")]
    [InlineData("nb", "arbeidsgiver", "ar-beids-gi-ver")]
    [InlineData("fi", "kirjahylly", "kir-ja-hyl-ly")]
    [InlineData("ru", "переплёт", "пе-ре-плёт")]
    [InlineData("tr", "İSTANBUL", "İS-TAN-BUL")]
    public void Words_part_where_the_patterns_have_it(string language, string word, string parted)
    {
        var hyphens = Hyphenation.Of(language)!.In(word);
        string.Concat(word.Select((c, i) => hyphens.Contains(i) ? $"-{c}" : c.ToString())).ShouldBe(parted);
    }

    /// <summary>Every language that is said to ship does, and what has none is left whole.</summary>
    [Fact]
    public void Patterns_ship_for_every_language_that_is_named()
    {
        foreach (var language in Hyphenation.Languages)
            Hyphenation.Of(language).ShouldNotBeNull().In(language is "ru" or "uk" ? "переплетение"
                : language == "el" ? "βιβλιοδεσία" : "informationalismo").ShouldNotBeEmpty(language);
        Hyphenation.Of("cs").ShouldBeNull();
        Hyphenation.Of("no").ShouldBeSameAs(Hyphenation.Of("nb"));
    }

    [Theory]
    [InlineData("en", "\"It's 'ours',\" she said -- no... the '90s---", "“It’s ‘ours’,” she said – no… the ’90s—")]
    [InlineData("de", "\"Das ist's\", sagte sie.", "„Das ist’s“, sagte sie.")]
    [InlineData("fr", "\"Oui\", l'eau", "«\u202FOui\u202F», l’eau")]
    [InlineData("sv", "\"Ja\"", "”Ja”")]
    [InlineData("ja", "\"はい\"", "「はい」")]
    public void What_is_typed_is_set_as_the_language_sets_it(string language, string typed, string set)
    {
        SmartPunctuation.Proper(typed, 0, typed.Length, language).ShouldBe(set);
        // Key by key comes to the same.
        var text = "";
        foreach (var c in typed) { var at = text.Length; text = SmartPunctuation.Proper(text + c, at, at + 1,
            language); }
        // A digit that follows is not there yet when its apostrophe is typed.
        text.Replace("‘90", "’90", StringComparison.Ordinal).ShouldBe(set);
    }
}
