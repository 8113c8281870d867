namespace Lumbeck.Core.Document;

/// <summary>Someone besides the author who made the book, and as what.</summary>
public sealed record Person(string Name, string Role)
{
    /// <summary>What people do for a book, in the trade's words.</summary>
    public static IReadOnlyList<string> Roles { get; } =
        ["editor", "translator", "illustrator", "photographer", "foreword", "introduction", "afterword", "compiler",
            "cover designer", "co-author"];

    public const int Most = 40;

    /// <summary>“Jo March (translator); Ann Fell (foreword)”.</summary>
    public static string Show(IEnumerable<Person> people) =>
        string.Join("; ", people.Select(p => $"{p.Name} ({p.Role})"));

    /// <summary>Reads what <see cref="Show"/> writes.</summary>
    public static bool TryParse(string text, out ImmutableList<Person> people, out string why)
    {
        people = [];
        why = "";
        foreach (var part in text.Split([';', '\n'],
            StringSplitOptions.RemoveEmptyEntries | StringSplitOptions.TrimEntries))
        {
            var open = part.LastIndexOf('(');
            var name = Plain.Line(open < 0 ? part : part[..open]);
            var role = open >= 0 && part.EndsWith(')') ? part[(open + 1)..^1].Trim() : "";
            if (Roles.FirstOrDefault(r => r.Equals(role, StringComparison.OrdinalIgnoreCase)) is not { } known)
            {
                why = role.Length == 0
                    ? $"`{LengthText.Clip(part)}` needs what they did, in brackets: `{LengthText.Clip(name)} (translator)`"
                    : $"`{LengthText.Clip(role)}` is no role here: take {string.Join(", ", Roles)}";
                return false;
            }
            if (name.Length is 0 or > 120)
            {
                why = "a person needs a name of up to 120 letters: `Jo March (translator)`";
                return false;
            }
            people = people.Add(new(name, known));
        }
        if (people.Count <= Most) return true;
        why = $"{people.Count} contributors are more than a ticket lists: name up to {Most}";
        return false;
    }
}
