using System.Security.Cryptography;
using System.Text.Json;

namespace Lumbeck.Core.Liveries;

/// <summary>
/// What a hand can change of an item but its words, as a sum: an item of the same sum as it was laid with has not been
/// moved.
/// </summary>
public static class Figures
{
    public static string Of(Item item)
    {
        var plain = item with { Id = "", Name = "", Group = "", Locked = false, Hidden = false, Laid = null, From = null };
        if (plain is TextItem t)
        {
            // What is composed on a spine is placed and sized anew whenever the spine changes.
            if (t.Composed)
                t = t with
                {
                    Hold = new(t.Hold.Panel, default, default, default, default),
                    Width = default,
                    Height = default,
                    Fit = default,
                    Style = new() { Face = t.Style.Face, Paint = t.Style.Paint, Case = t.Style.Case },
                };
            plain = t with { Words = "", Runs = [], Starter = false };
        }
        return Sum(plain);
    }

    public static string Of(Fill ground) => Sum(ground);

    public static string OfWords(string words) => Sum(words)[..8];

    /// <summary>Whether an item is as it was laid, whatever it says.</summary>
    public static bool AsLaid(Item item) => item.Laid is { } laid && !item.Locked && Of(item) == laid.Figures;

    private static string Sum<T>(T what) =>
        Convert.ToHexStringLower(SHA256.HashData(JsonSerializer.SerializeToUtf8Bytes(what, JobJson.Options)))[..16];
}
