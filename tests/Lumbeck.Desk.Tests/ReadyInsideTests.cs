using Lumbeck.Core.Checks.OfPages;
using Lumbeck.Core.Drawing.Pages;

namespace Lumbeck.Desk.Tests;

/// <summary>Ready insides are laid in the book's language, at every usual trim of every printer, without a finding.</summary>
public sealed class ReadyInsideTests : IDisposable
{
    private readonly string _folder = Directory.CreateTempSubdirectory("lumbeck-").FullName;
    private readonly AppServices _desk;

    public ReadyInsideTests() => _desk = new(_folder, TimeProvider.System);

    public void Dispose()
    {
        Microsoft.Data.Sqlite.SqliteConnection.ClearAllPools();
        Directory.Delete(_folder, recursive: true);
    }

    private Job Laid(string name, string language, House house, Size trim)
    {
        var job = Starters.Job(house, "Low Water");
        job = new SetLanguage(language).Apply(job with { Ticket = job.Ticket with { Trim = trim, Author = "I. Voss" } });
        var begin = ReadyInsides.Begin(name, 2027, job);
        // Pages to colour say nothing, and are drawn at length: one stands for all of them.
        begin = begin with { Runs = [.. begin.Runs.Where(r => r.Designs[0] is not ColouringPage || r.Goes == RunKind.Rest)
            .Select(r => r.Designs[0] is ColouringPage ? r with { Goes = RunKind.Pages, Count = 1 } : r)] };
        return EditPipeline.Run(begin, job, _desk.Drawer.Shelf, _desk.Drawer.Tables);
    }

    private List<string> Found(Job job) =>
    [
        .. PageChecks.Of(new(job, _desk.Drawer.Tables, _desk.Drawer.Puzzles), _desk.Drawer.PageArtOf(job))
            // Puzzles are made in a test of their own.
            .Where(f => f.Severity < Severity.Note && f.Id != "page.puzzle").Select(f => $"{f.Id} page {f.Page}: {f.Measured}; {f.Limit}"),
    ];

    [Fact]
    public void Each_is_clean_in_every_language_at_every_usual_trim()
    {
        var all = from house in HouseFile.Shipped.Values
            from trim in TrimSizes.For(house)
            from language in PrintedWords.Codes
            from ready in ReadyInsides.All
            select (house, trim, language, ready.Name);
        // A prime, so that a spread meets every language, trim and kind.
        var found = Sweep.Spread(all, Sweep.IsWide ? 13 : 173).SelectMany(a => Found(Laid(a.Name, a.language, a.house, a.trim.Size))
            .Select(f => $"{a.Name}, {a.language}, {a.house.Name}, {a.trim.Size.Show(Unit.Millimetre)}: {f}")).ToList();
        found.ShouldBeEmpty();
    }

    [Fact]
    public void Words_to_hide_can_be_hidden_in_every_language_that_has_them_and_in_no_other_are_there_any()
    {
        var pages = PrintedWords.Codes.SelectMany(c => ReadyInsides.Of("puzzle book", 2027, c)
            .SelectMany(r => r.Designs.OfType<WordSearchPage>()).Select(d => (Code: c, d.Hidden))).ToList();
        pages.Select(p => p.Code).ShouldBe(["en", "de", "fr", "es", "it", "pt", "nl", "sv", "da", "nb"]);
        foreach (var (code, hidden) in pages)
            foreach (var list in hidden.Split("\n\n"))
                Should.NotThrow(() => WordSearch.Of(list.Split(", "), 14, 14, WordWays.Eight, Seed.Of("a"), 1), $"{code}: {list}");
    }

    /// <summary>What stands in another language than the book's was typed by a hand.</summary>
    [Fact]
    public void Pages_speak_the_book_s_language_and_follow_it_and_words_of_a_hand_stay()
    {
        var house = HouseFile.Shipped["aldwater"];
        var type = _desk.Drawer.Shelf;
        var job = Laid("logbook", "de", house, house.Trims[0].Size);
        string[] said(Job j) => [.. j.Inside!.Runs.SelectMany(r => r.Designs).SelectMany(d => d.Given).Where(w => w.Length > 0)];
        said(job).ShouldBe(["Dieses Buch gehört", "Register", "Einträge", "Nr.", "Datum", "Eintrag", "gesehen"], ignoreOrder: true);
        job = EditPipeline.Run(new SetDesignField("rest", 0, "heading", new(Words: "Wind und Wetter")), job, type);
        job = EditPipeline.Run(new SetLanguage("fr"), job, type);
        said(job).ShouldBe(["Ce livre appartient à", "Index", "Wind und Wetter", "n°", "date", "entrée", "vu"], ignoreOrder: true);
        job = EditPipeline.Run(new SetLanguage("en"), job, type);
        said(job).ShouldContain("This book belongs to");
        ReadyInsides.First("t", "garden", "de").Designs.ShouldHaveSingleItem().Given.ShouldAllBe(w => w.Length == 0);
        // A kind of page has a name in English alone: contents and backs elsewhere leave it out.
        ReadyInsides.First("t", "squares", "de").Printed("de").ShouldBe("");
        ReadyInsides.First("t", "squares", "en").Printed("en").ShouldBe("Squares");
    }

    [Fact]
    public void Every_word_that_is_printed_is_there_in_every_language_or_left_out_on_purpose()
    {
        PrintedWords.Codes.Order().ShouldBe(CalendarNames.Codes.Order());
        // Every first word of a design and of a ready inside is among them.
        var english = ReadyInsides.All.SelectMany(r => ReadyInsides.Of(r.Name, 2027)).SelectMany(r => r.Designs)
            .Concat(DesignShelf.All.Select(d => d.First)).SelectMany(d => d.Given).Distinct()
            .Where(w => w.Any(char.IsLetter) && !(w[0] == '{' && w[^1] == '}' && w.Count(c => c == '{') == 1)
                && !w.StartsWith("# ", StringComparison.Ordinal)
                && !w.Contains("anchor", StringComparison.Ordinal)).ToList();
        english.Count.ShouldBeGreaterThan(25);
        english.Where(w => !PrintedWords.All.Contains(w)).ShouldBeEmpty();
        foreach (var code in PrintedWords.Codes.Where(c => c != "en"))
            foreach (var word in PrintedWords.All)
                if (PrintedWords.Say(word, code) is { Length: > 0 } said)
                    Holes(said).ShouldBe(Holes(word), $"{code}: {said}");
    }

    private static string Holes(string words) =>
        string.Join(' ', System.Text.RegularExpressions.Regex.Matches(words, @"\{\w+\}").Select(m => m.Value).Order());
}
