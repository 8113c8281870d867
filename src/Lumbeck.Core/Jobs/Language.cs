namespace Lumbeck.Core.Jobs;

/// <summary>A language of books by its BCP 47 code, its English name, and which way books in it usually read.</summary>
public sealed record Language(string Code, string Name, Reading Reading = Reading.LeftToRight)
{
    public static IReadOnlyList<Language> All { get; } =
    [
        new("en", "English"), new("de", "German"), new("fr", "French"), new("es", "Spanish"), new("it", "Italian"), new("pt", "Portuguese"), new("nl", "Dutch"),
        new("sv", "Swedish"), new("da", "Danish"), new("nb", "Norwegian"), new("fi", "Finnish"), new("is", "Icelandic"), new("et", "Estonian"), new("lv", "Latvian"), new("lt", "Lithuanian"),
        new("pl", "Polish"), new("cs", "Czech"), new("sk", "Slovak"), new("hu", "Hungarian"), new("ro", "Romanian"), new("hr", "Croatian"), new("el", "Greek"), new("tr", "Turkish"),
        new("ru", "Russian"), new("uk", "Ukrainian"), new("cy", "Welsh"), new("ga", "Irish"), new("gd", "Scottish Gaelic"), new("la", "Latin"), new("ja", "Japanese"), new("ko", "Korean"), new("zh", "Chinese"), new("hi", "Hindi"),
        new("he", "Hebrew", Reading.RightToLeft), new("ar", "Arabic", Reading.RightToLeft), new("fa", "Persian", Reading.RightToLeft), new("ur", "Urdu", Reading.RightToLeft), new("yi", "Yiddish", Reading.RightToLeft),
    ];

    public static Language Of(string code) => All.FirstOrDefault(l => l.Code == code) ?? All[0];
}
