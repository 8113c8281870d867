using System.Text;
using System.Text.Json;

namespace Lumbeck.Core.Trade.Calendars;

/// <summary>
/// What one language calls months and weekdays, and how it says a month of a year and a day of a month. An extract of
/// the Unicode Common Locale Data Repository 48.2, Gregorian calendar (docs/inside.md, Calendars).
/// </summary>
public sealed record CalendarNames
{
    private static readonly Dictionary<string, CalendarNames> ByCode = Load();

    /// <summary>Twelve, as they stand alone.</summary>
    public required ImmutableArray<string> Months { get; init; }

    /// <summary>Twelve, as they follow a day: “4 stycznia”.</summary>
    public required ImmutableArray<string> OfMonths { get; init; }

    public required ImmutableArray<string> ShortMonths { get; init; }

    /// <summary>Seven, from Monday; the same in short, and as narrow as they go.</summary>
    public required ImmutableArray<string> Days { get; init; }
    public required ImmutableArray<string> ShortDays { get; init; }
    public required ImmutableArray<string> NarrowDays { get; init; }

    /// <summary>Patterns of CLDR: y the year, L and M the month, d the day, letters between apostrophes as they are.</summary>
    public required string MonthYear { get; init; }
    public required string DayMonth { get; init; }

    /// <summary>The words for a day, a week, a month and a year.</summary>
    public required string Day { get; init; }
    public required string Week { get; init; }
    public required string Month { get; init; }
    public required string Year { get; init; }

    /// <summary>The languages that have names here, by their codes.</summary>
    public static IReadOnlyCollection<string> Codes => ByCode.Keys;

    /// <exception cref="Refusal">There are none for this language.</exception>
    public static CalendarNames Of(string code) => ByCode.GetValueOrDefault(code)
        ?? throw new Refusal("language", $"there are no names of months in `{LengthText.Clip(code)}` here: " +
            $"take one of the {ByCode.Count} languages {string.Join(", ", ByCode.Keys)}");

    /// <summary>“January 2027”, as a heading begins: with a capital letter.</summary>
    public string Say(int year, int month) => Capital(Filled(MonthYear, year, month, 1));

    /// <summary>“4 January”.</summary>
    public string Say(DateOnly day) => Filled(DayMonth, day.Year, day.Month, day.Day);

    /// <param name="day">Of the week.</param>
    public string DayOf(DayOfWeek day) => Days[((int)day + 6) % 7];

    public string ShortOf(DayOfWeek day) => ShortDays[((int)day + 6) % 7];

    public string NarrowOf(DayOfWeek day) => NarrowDays[((int)day + 6) % 7];

    /// <summary>The same with a capital letter first, as a heading has it.</summary>
    public static string Capital(string words) =>
        words.Length == 0 ? words : char.ToUpperInvariant(words[0]) + words[1..];

    private string Filled(string pattern, int year, int month, int day)
    {
        var said = new StringBuilder();
        for (var at = 0; at < pattern.Length;)
        {
            var c = pattern[at];
            var run = 1;
            while (at + run < pattern.Length && pattern[at + run] == c) run++;
            if (c == '\'')
            {
                var end = pattern.IndexOf('\'', at + 1);
                said.Append(pattern.AsSpan(at + 1, end - at - 1));
                at = end + 1;
                continue;
            }
            said.Append(c switch
            {
                'y' => year.ToString(CultureInfo.InvariantCulture),
                'd' => day.ToString(CultureInfo.InvariantCulture),
                'L' or 'M' when run < 3 => month.ToString(CultureInfo.InvariantCulture),
                'L' => Months[month - 1],
                'M' => OfMonths[month - 1],
                _ => new string(c, run),
            });
            at += run;
        }
        return said.ToString();
    }

    private static Dictionary<string, CalendarNames> Load()
    {
        using var data = typeof(CalendarNames).Assembly.GetManifestResourceStream("calendar/names")!;
        return JsonSerializer.Deserialize<Dictionary<string, CalendarNames>>(data, JsonSerializerOptions.Web)!;
    }
}
