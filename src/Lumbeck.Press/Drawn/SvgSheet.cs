using System.Xml.Linq;
using ExCSS;

namespace Lumbeck.Press.Drawn;

/// <summary>
/// A drawing's style sheets (CSS Cascading 4, as SVG 2, 6 has it): which declarations meet an element, the weaker
/// before the stronger.
/// </summary>
internal sealed class SvgSheet
{
    /// <summary>Most letters, rules, and declarations that meet elements.</summary>
    public const int MostLetters = 400_000, MostRules = 4000;

    private sealed record Rule(ISelector Selector, Priority Weight, int Order, IReadOnlyList<Declared> Declared);

    /// <summary>A property as it was written.</summary>
    public readonly record struct Declared(string Name, string Value, bool Important);

    // By what the last part of a selector names, so that an element is compared with few.
    private readonly Dictionary<string, List<Rule>> _rules = [];
    private int _order;

    private static readonly StylesheetParser Parser =
        new(includeUnknownRules: true, includeUnknownDeclarations: true, tolerateInvalidSelectors: true,
            tolerateInvalidValues: true);

    /// <exception cref="Refusal">It says what is not read; that is named.</exception>
    public static SvgSheet Read(string css)
    {
        var sheet = new SvgSheet();
        if (css.Length == 0) return sheet;
        if (css.Length > MostLetters)
            throw SvgReading.No($"its style sheet has over {MostLetters} letters: simplify it");
        if (css.Contains("@import", StringComparison.OrdinalIgnoreCase))
            throw SvgReading.No("its style sheet reaches outside its own file");
        sheet.Add(Parser.Parse(css).Children);
        return sheet;
    }

    /// <summary>Declarations of a <c>style</c> attribute.</summary>
    public static IReadOnlyList<Declared> Inline(string? style)
    {
        if (string.IsNullOrWhiteSpace(style)) return [];
        if (style.Length > 20_000) throw SvgReading.No("a style of it is over 20000 letters long");
        var rules = Parser.Parse($"x{{{style.Replace('{', ' ').Replace('}', ' ')}}}").Children.OfType<IStyleRule>();
        return [.. rules.Take(1).SelectMany(Declarations)];
    }

    /// <summary>Whether what is meant for some media is meant for a drawing that is looked at.</summary>
    /// <exception cref="Refusal">It depends on what is looked with.</exception>
    public static bool Applies(string media)
    {
        foreach (var one in media.Split(',', StringSplitOptions.RemoveEmptyEntries | StringSplitOptions.TrimEntries))
        {
            if (one is "all" or "screen" or "only screen") return true;
            if (one is not ("print" or "speech" or "only print" or "not all"))
                throw SvgReading.No($"its style depends on `@media {LengthText.Clip(one)}`, which is not read");
        }
        return media.Trim().Length == 0;
    }

    private void Add(IEnumerable<IStylesheetNode> nodes)
    {
        foreach (var node in nodes)
            switch (node)
            {
                case IStyleRule rule:
                    var declared = Declarations(rule).ToList();
                    foreach (var selector in rule.Selector is ListSelector list ? list
                        : (IEnumerable<ISelector>)[rule.Selector])
                        Add(selector, declared);
                    break;
                case IMediaRule media:
                    if (Applies(media.Media.MediaText)) Add(media.Children.Where(c => c is not MediaList));
                    break;
                case ICharsetRule or INamespaceRule or IFontFaceRule or IPageRule:
                    break;
                case IRule other:
                    throw SvgReading.No($"its style sheet has " +
                        $"`{LengthText.Clip(other.Text.Split('{', ';')[0])}`, which is not read");
            }
    }

    private void Add(ISelector selector, IReadOnlyList<Declared> declared)
    {
        if (++_order > MostRules)
            throw SvgReading.No($"its style sheet has more than {MostRules} selectors: simplify it");
        var key = Key(selector);
        if (!_rules.TryGetValue(key, out var rules)) _rules[key] = rules = [];
        rules.Add(new(selector, selector.Specificity, _order, declared));
    }

    private static IEnumerable<Declared> Declarations(IStyleRule rule) =>
        rule.Style.Declarations.Select(d =>
            new Declared(d.Name.ToLowerInvariant(), (d.Original ?? d.Value ?? "").Trim(), d.IsImportant));

    /// <summary>What meets an element, the weaker before the stronger.</summary>
    public IEnumerable<Declared> Of(XElement e)
    {
        if (_order == 0) return [];
        var met = new List<Rule>();
        IEnumerable<string> keys = [.. Classes(e).Select(c => "." + c), "#" + (string?)e.Attribute("id"),
            e.Name.LocalName, "*"];
        foreach (var key in keys.Distinct())
            if (_rules.TryGetValue(key, out var rules)) met.AddRange(rules.Where(r => Meets(e, r.Selector)));
        return met.OrderBy(r => r.Weight).ThenBy(r => r.Order).SelectMany(r => r.Declared);
    }

    private static string Key(ISelector selector) => selector switch
    {
        ComplexSelector c => Key(c.Last().Selector),
        // Of several, the one that fewest elements have.
        CompoundSelector c => c.Select(Key).MinBy(k => k[0] switch { '#' => 0, '.' => 1, '*' => 3, _ => 2 }) ?? "*",
        IdSelector i => "#" + i.Id,
        ClassSelector c => "." + c.Class,
        TypeSelector t => t.Name,
        _ => "*",
    };

    private static bool Meets(XElement e, ISelector selector)
    {
        switch (selector)
        {
            case AllSelector: return true;
            case TypeSelector t: return t.Name == e.Name.LocalName;
            case IdSelector i: return (string?)e.Attribute("id") == i.Id;
            case ClassSelector c: return Classes(e).Contains(c.Class);
            case AttrAvailableSelector a: return e.Attribute(a.Attribute) is not null;
            case AttrMatchSelector a: return (string?)e.Attribute(a.Attribute) == a.Value;
            case PseudoClassSelector { Class: "root" }: return e.Parent is null;
            case PseudoClassSelector { Class: "first-child" }: return e.Parent?.Elements().First() == e;
            case PseudoClassSelector { Class: "last-child" }: return e.Parent?.Elements().Last() == e;
            // Nobody points at, presses or visits what is printed.
            case PseudoClassSelector { Class: "hover" or "active" or "focus" or "visited" or "link" or "target" }: return false;
            case CompoundSelector all: return all.All(s => Meets(e, s));
            case ComplexSelector complex: return Meets(e, [.. complex.Select(s => (s.Selector, s.Delimiter))]);
            default:
                throw SvgReading.No($"its style sheet has the selector `{LengthText.Clip(selector.Text)}`, " +
                $"which is not read");
        }
    }

    private static IEnumerable<string> Classes(XElement e) => SvgUnits.Words((string?)e.Attribute("class")).Take(50);

    /// <summary>
    /// Each part with what follows it: a space for any depth, <c>&gt;</c> for a child, <c>+</c> and <c>~</c> for those
    /// beside it.
    /// </summary>
    private static bool Meets(XElement e, (ISelector Selector, string Then)[] parts)
    {
        if (!Meets(e, parts[^1].Selector)) return false;
        if (parts.Length == 1) return true;
        var before = parts[..^1];
        return before[^1].Then.Trim() switch
        {
            "" => e.Ancestors().Any(a => Meets(a, before)),
            ">" => e.Parent is { } parent && Meets(parent, before),
            "+" => e.ElementsBeforeSelf().LastOrDefault() is { } beside && Meets(beside, before),
            "~" => e.ElementsBeforeSelf().Any(b => Meets(b, before)),
            var joined => throw SvgReading.No($"its style sheet joins selectors by `{joined}`, which is not read"),
        };
    }
}
