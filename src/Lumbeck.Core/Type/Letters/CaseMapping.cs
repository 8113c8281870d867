namespace Lumbeck.Core.Type.Letters;

/// <summary>
/// Capitals and small letters where languages differ (Unicode, SpecialCasing): Turkish dots its i, German has SS for ß,
/// Greek capitals carry no accents.
/// </summary>
public static class CaseMapping
{
    public static string Upper(string letters, string language) => (letters, language) switch
    {
        ("ß", _) => "SS",
        ("i", "tr" or "az") => "İ",
        (_, "el") => letters.ToUpperInvariant() switch
        {
            "Ά" => "Α",
            "Έ" => "Ε",
            "Ή" => "Η",
            "Ί" => "Ι",
            "Ό" => "Ο",
            "Ύ" => "Υ",
            "Ώ" => "Ω",
            var other => other,
        },
        _ => letters.ToUpperInvariant(),
    };

    public static string Lower(string letters, string language) => (letters, language) switch
    {
        ("I", "tr" or "az") => "ı",
        ("İ", "tr" or "az") => "i",
        _ => letters.ToLowerInvariant(),
    };
}
