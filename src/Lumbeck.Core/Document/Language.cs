namespace Lumbeck.Core.Document;

/// <summary>
/// A language of books by its BCP 47 code, its English name, which way books in it usually read, and whether words on
/// their spines usually run up, from foot to head.
/// </summary>
public sealed record Language(string Code, string Name, Reading Reading = Reading.LeftToRight, bool SpineUp = false)
{
    public static IReadOnlyList<Language> All { get; } =
    [
        new("en", "English"), new("de", "German", SpineUp: true), new("fr", "French", SpineUp: true),
            new("es", "Spanish", SpineUp: true), new("it", "Italian", SpineUp: true),
            new("pt", "Portuguese", SpineUp: true), new("nl", "Dutch"),
        new("sv", "Swedish"), new("da", "Danish"), new("nb", "Norwegian"), new("fi", "Finnish"), new("is", "Icelandic"),
            new("et", "Estonian"), new("lv", "Latvian"), new("lt", "Lithuanian"),
        new("pl", "Polish"), new("cs", "Czech", SpineUp: true), new("sk", "Slovak", SpineUp: true),
            new("hu", "Hungarian", SpineUp: true), new("ro", "Romanian", SpineUp: true), new("hr", "Croatian"),
            new("el", "Greek", SpineUp: true), new("tr", "Turkish"),
        new("ru", "Russian", SpineUp: true), new("uk", "Ukrainian", SpineUp: true), new("cy", "Welsh"),
            new("ga", "Irish"), new("gd", "Scottish Gaelic"), new("la", "Latin"), new("ja", "Japanese"),
            new("ko", "Korean"), new("zh", "Chinese"), new("hi", "Hindi"),
        new("he", "Hebrew", Reading.RightToLeft), new("ar", "Arabic", Reading.RightToLeft),
            new("fa", "Persian", Reading.RightToLeft), new("ur", "Urdu", Reading.RightToLeft),
            new("yi", "Yiddish", Reading.RightToLeft),
    ];

    public static Language Of(string code) => All.FirstOrDefault(l => l.Code == code) ?? All[0];
}
