using System.Text.Json;

namespace Lumbeck.Core.Liveries;

/// <summary>A kept livery as a file (docs/liveries.md).</summary>
public static class OwnLiveryJson
{
    /// <summary>Largest file, in bytes.</summary>
    public const int Most = 4_000_000;

    /// <summary>As it is kept.</summary>
    public static byte[] Write(OwnLivery own) =>
        StoredForm.Stamp(JsonSerializer.SerializeToUtf8Bytes(own, JobJson.Options));

    /// <summary>
    /// As it leaves: without the drawings, which lie in this Drawer alone; they are places for others.
    /// </summary>
    public static byte[] Export(OwnLivery own) => Write(own with
    {
        Wraps =
        [
            .. own.Wraps.Select(w => w with
            {
                Ground = w.Ground.Pictures.Any() ? new(w.Ground.Paint) : w.Ground,
                Parts = [.. w.Parts.Select(p => p.Item is PictureItem picture
                    ? p with { Item = picture with { Picture = null } } : p)
                    .Where(p => !p.Item.Pictures.Any())],
            }),
        ],
    });

    /// <param name="json">As it was written.</param>
    /// <param name="has">Whether a face can be set here.</param>
    /// <exception cref="Refusal">It is none, or holds what none can; the place in it is named.</exception>
    public static OwnLivery Read(ReadOnlySpan<byte> json, Func<FaceId, bool> has)
    {
        if (json.Length > Most) throw No("the file", $"is over {Most / 1_000_000} MB");
        OwnLivery own;
        try
        {
            own = JsonSerializer.Deserialize<OwnLivery>(StoredForm.Unstamped(json, Steps), JobJson.AtTheDoor)
                ?? throw new JsonException();
        }
        catch (Exception e) when (e is JsonException or ArgumentException or NullReferenceException or InvalidOperationException
            or NotSupportedException or FormatException or OverflowException)
        {
            throw No((e as JsonException)?.Path is { Length: > 2 } path ? path[2..] : "the file", "is no part of a livery");
        }
        if (!Free.CanBe(own.Id) || own.Id.Length > 20) throw No("id", "is no word of up to 20 small letters, digits and hyphens");
        if (own.Name.Length is 0 or > OwnLivery.LongestName || Plain.Line(own.Name) != own.Name)
            throw No("name", $"is no line of up to {OwnLivery.LongestName} letters");
        if (own.Swatches.Count > 60 || own.Swatches.Any(s => !Free.CanBe(s.Id))
            || own.Swatches.DistinctBy(s => s.Id).Count() != own.Swatches.Count)
            throw No("swatches", "are too many, or one is there twice");
        if (own.VolumeSwatch.Length > 0 && own.Swatches.All(s => s.Id != own.VolumeSwatch))
            throw No("volumeSwatch", "names no swatch of it");
        if (own.Wraps.Count is 0 or > 2) throw No("wraps", "are one or two");
        foreach (var (n, wrap) in own.Wraps.Index())
        {
            if (wrap.Parts.Count > AddItem.Most) throw No($"wraps/{n}/parts", $"are over {AddItem.Most}");
            if (wrap.Ground.Pattern is { IsSound: false }) throw No($"wraps/{n}/ground", "is out of all range");
            if (wrap.Panels.Any(p => !Enum.IsDefined(p.Part) || p.Size.Width.Units <= 0 || p.Size.Height.Units <= 0
                || p.Size.Width > Length.FromMillimetres(5000) || p.Size.Height > Length.FromMillimetres(5000)))
                throw No($"wraps/{n}/panels", "are out of all range");
            if (wrap.Parts.DistinctBy(p => p.Item.Id).Count() != wrap.Parts.Count)
                throw No($"wraps/{n}/parts", "hold one part twice");
            foreach (var (k, part) in wrap.Parts.Index())
            {
                var at = $"wraps/{n}/parts/{k}";
                if (!Enum.IsDefined(part.Says) || !Free.CanBe(part.Item.Id)) throw No(at, "is none");
                _ = Attempt.Telling(r => No(at, r.Message.Split(" can’t be taken in")[0] + " is out of all range"),
                    () => ImportValidation.Item(part.Item, s => own.Swatches.Any(h => h.Id == s) ? s : null));
                if (part.Item is TextItem text && !has(text.Style.Face))
                    throw No($"{at}/item/style/face", $"`{text.Style.Face}` is no face here: take it into the Drawer first");
            }
        }
        return own;
    }

    private static readonly IReadOnlyList<Action<System.Text.Json.Nodes.JsonObject>> Steps =
        [_ => { }, _ => { }, _ => { }, _ => { }, _ => { }, _ => { }];

    private static Refusal No(string key, string why) =>
        new("livery", $"this livery can’t be taken in: `{LengthText.Clip(key)}` {why}");
}
