namespace Lumbeck.Press.Tests;

/// <summary>
/// Justified paragraphs against a breaker that takes each line as it comes, with the same faces, hyphens and spaces.
/// </summary>
public sealed class BlurbTests
{
    private static readonly TextStyle Style = new()
    {
        Face = new("eb-garamond", 400, false),
        Size = Length.FromPoints(11),
        Align = Align.Justified,
        Hyphenate = true
    };

    /// <summary>Twenty paragraphs of made-up back-cover copy, each of other lengths and words.</summary>
    public static IReadOnlyList<string> Paragraphs { get; } =
    [
        "When the lighthouse keeper’s daughter returns after seventeen years to sell the cottage, she discovers her " +
            "father’s correspondence with a drowned cartographer, and a map of an archipelago that no chart acknowledges.",
        "Every Thursday the grandmothers of Wexcombe gather behind the shuttered pharmacy to exchange recipes, " +
            "grievances and, increasingly, information about the disappearance of the new schoolmaster.",
        "Three generations of beekeepers, one disputed inheritance and an exceptionally dry summer: this is a novel " +
            "about what families manufacture out of silence, and what they nevertheless remember.",
        "Nobody in the observatory believed the instruments until the second night, when the neighbouring station " +
            "reported identical interference and the telephone stopped working altogether.",
        "A practical handbook for anyone restoring a neglected orchard, with instructions for identifying varieties, " +
            "pruning without sentimentality and persuading children to gather windfalls before the wasps do.",
        "Born in a caravan between two frontiers, she learned to interpret before she learned to read. Her memoir " +
            "moves between courtrooms, kitchens and checkpoints, listening for whatever remains untranslatable.",
        "The assassin was punctual, considerate and entirely unremarkable, which explains why he had worked for the " +
            "municipal libraries throughout his otherwise blameless career.",
        "Seventy walks along forgotten railway lines, from the moorland viaducts of the north to the overgrown " +
            "sidings of the estuary, each with directions, photographs and somewhere dependable for tea.",
        "He promised her the mountains, and she, being sensible, asked for the mineral rights. What follows is the " +
            "least romantic engagement in the history of the province, and possibly the happiest.",
        "An account of the great frost, told through parish registers, ships’ manifests and the extraordinary " +
            "notebooks of an apprentice apothecary who measured everything and understood almost nothing.",
        "On the morning of the inauguration the statue was found facing the opposite direction. Inspector Hallorane " +
            "has forty hours, an uncooperative sculptor and a profound dislike of pigeons.",
        "These stories inhabit waiting rooms, ferries and the long corridors of administrative buildings, where " +
            "strangers confess to each other precisely because they will never meet again.",
        "The orchestra has been stranded for eleven days when the percussionist begins rehearsing with the " +
            "villagers. By the end of the month neither the music nor the marriage arrangements are recognisable.",
        "Drawing on unpublished correspondence, this biography restores the mathematician to her rightful position: " +
            "at the centre of the controversy, impatient with everybody, and almost invariably correct.",
        "Underneath the cathedral there is another cathedral, smaller and considerably older, and underneath that " +
            "something which the surveyors have agreed not to describe in their preliminary report.",
        "A cookery book for small kitchens and uncertain incomes, arranged by what is probably already in the " +
            "cupboard, with particular attention to onions, lentils and encouragement.",
        "The translator has one rule: never meet the author. When the manuscript arrives with her own childhood " +
            "inside it, unmistakably, down to the wallpaper, the rule becomes difficult to observe.",
        "For two centuries the island sent its criminals to the mainland. Now the mainland is returning them, with " +
            "interest, and the magistrate must decide whether hospitality has any statutory limit.",
        "Twelve essays about attention: to weather, to handwriting, to the conversation of carpenters, to the " +
            "particular quality of afternoon light that makes procrastination feel like philosophy.",
        "She inherited the theatre, its debts, its resident ghost and an unfinished tragedy in five acts. The " +
            "creditors would accept the ghost. Everything else must open by Christmas.",
    ];

    [Fact]
    public void Whole_paragraphs_have_fewer_hyphens_and_evener_spaces_than_line_by_line()
    {
        var type = TextTests.Shelf;
        var (ours, theirs) = (new List<double>(), new List<double>());
        var (hyphens, greedyHyphens) = (0, 0);
        // A flap's measure, and two of backs.
        foreach (var (words, width) in Paragraphs.SelectMany(w =>
            ((double[])[205, 240, 295]).Select(wide => (w, wide))))
        {
            var set = Typesetter.Set(new TextToSet(words, Style), width, 2000, type);
            set.Overset.ShouldBeNull();
            hyphens += set.Lines.Count(l => l.Hyphenated);
            ours.AddRange(set.Lines.SkipLast(1).Select(l => l.Spacing));
            foreach (var line in set.Lines.SkipLast(1)) line.Width.ShouldBe(width, 0.02);
            foreach (var (spacing, hyphenated) in Greedy(words, width, type))
            {
                theirs.Add(spacing);
                if (hyphenated) greedyHyphens++;
            }
        }
        static double spread(List<double> of) => Math.Sqrt(of.Average(s => Math.Pow(s - 1, 2)));
        hyphens.ShouldBeLessThan(greedyHyphens, $"hyphens {hyphens} against {greedyHyphens}");
        spread(ours).ShouldBeLessThan(spread(theirs), $"spread {spread(ours):0.000} against {spread(theirs):0.000}");
    }

    /// <summary>
    /// As much on each line as goes, with words parted where that brings more on it; the spaces give what is left.
    /// </summary>
    private static IEnumerable<(double Spacing, bool Hyphenated)> Greedy(string words, double width, IType type)
    {
        double wide(string s) =>
            s.Length == 0
                ? 0
                : type.Shape(Style.Face, s, 0, s.Length, new(false, "Latn", "en", ""))
                    .Glyphs.Sum(g => g.Advance) * Style.Size.Points / type.Metrics(Style.Face).UnitsPerEm;
        var (space, rest) = (wide(" "), new Queue<string>(words.Split(' ')));
        var line = "";
        while (rest.Count > 0)
        {
            var word = rest.Peek();
            var longer = line.Length == 0 ? word : line + " " + word;
            if (wide(longer) <= width) { line = longer; rest.Dequeue(); continue; }
            var letters = word.TrimEnd('.', ',', ':', ';');
            var part = Hyphenation.Of("en")!.In(letters.All(char.IsLetter) ? letters : "")
                .LastOrDefault(h => wide($"{line} {word[..h]}-") <= width, 0);
            var hyphenated = part > 0;
            if (hyphenated)
            {
                line = $"{line} {word[..part]}-";
                rest = new(rest.Skip(1).Prepend(word[part..]));
            }
            var spaces = line.Count(c => c == ' ');
            yield return (spaces == 0 ? 1 : 1 + ((width - wide(line)) / (spaces * space)), hyphenated);
            line = "";
        }
    }
}
