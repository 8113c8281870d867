using System.Text.Json;

namespace Lumbeck.Core.Trade.Houses;

/// <summary>A house as JSON: read key by key, refused key by key.</summary>
public static class HouseFile
{
    /// <summary>Reads a house. A key left out takes the trade's default.</summary>
    /// <param name="json">A house file.</param>
    /// <param name="unread">Is told of each key that is not known, which is then left out; where null, such keys are
    /// refused.</param>
    /// <exception cref="Refusal">The text is no JSON object, keys are unknown, or values impossible; each such key is
    /// named, the first as the path.</exception>
    public static House Read(string json, Action<string>? unread = null)
    {
        try
        {
            using var doc = JsonDocument.Parse(json,
                new JsonDocumentOptions
                {
                    CommentHandling = JsonCommentHandling.Skip,
                    AllowTrailingCommas = true,
                    MaxDepth = 8,
                });
            return Read(doc.RootElement, unread);
        }
        catch (JsonException e)
        {
            throw new Refusal("",
                $"this house file is no JSON (line {(e.LineNumber ?? 0) + 1}): put its keys between `{{` and `}}`");
        }
    }

    public static House Read(JsonElement root, Action<string>? unread = null) => Read(root, unread, ships: false);

    private static House Read(JsonElement root, Action<string>? unread, bool ships)
    {
        if (root.ValueKind != JsonValueKind.Object)
            throw new Refusal("", "a house file is one JSON object: put its keys between `{` and `}`");
        var house = new House { Inside = ships ? new() : Earlier(root) };
        // Every wrong key is told, not the first alone: a file is mended in one go.
        List<Refusal> wrong = [];
        foreach (var p in root.EnumerateObject())
        {
            if (p.Name == StoredForm.Member)
            {
                StoredForm.Refuse(p.Value.ValueKind == JsonValueKind.Number && p.Value.TryGetInt32(out var form) ? form
                    : 0);
                continue;
            }
            if (unread is not null && HouseKeys.Find(p.Name) is null)
            {
                unread(p.Name);
                continue;
            }
            var (read, no) = Attempt.Of(() => (HouseKeys.Find(p.Name)
                ?? throw new Refusal(p.Name, $"no printer has a key `{p.Name}`{Nearest(p.Name)}")).Read(house, p.Value));
            if (no is not null) wrong.Add(no);
            else house = read!;
        }
        if (wrong.Count == 0) return Checked(house);
        throw new Refusal(wrong[0].Path,
            string.Join("; ", wrong.Take(MostTold).Select(r => r.Message)) + (wrong.Count > MostTold
                ? $"; and {wrong.Count - MostTold} more" : ""));
    }

    /// <summary>
    /// What a file of a form before pages had keys says of them: what the house of that name that shipped did.
    /// </summary>
    private static InsideRules Earlier(JsonElement root)
    {
        var form = root.TryGetProperty(StoredForm.Member, out var f) && f.ValueKind == JsonValueKind.Number
            ? f.GetDouble()
            : 1;
        var id = root.TryGetProperty("id", out var i) && i.ValueKind == JsonValueKind.String ? i.GetString()! : "";
        if (form >= 6 || EarlierInsides.InFile(id) is not { } keys) return new();
        return keys.EnumerateObject().Aggregate(new House(), (h, k) => HouseKeys.Find(k.Name)!.Read(h, k.Value)).Inside;
    }

    /// <summary>Writes every key, defaults too, so that nothing is left to guess.</summary>
    public static string Write(House house)
    {
        IEnumerable<KeyValuePair<string, object?>> form = [new(StoredForm.Member, StoredForm.Current)];
        return JsonSerializer.Serialize(form.Concat(HouseKeys.All.Select(k =>
            KeyValuePair.Create(k.Name, k.Write(house)))).ToDictionary(),
            Indented);
    }

    /// <summary>The houses that ship, by id.</summary>
    public static IReadOnlyDictionary<string, House> Shipped { get; } = typeof(HouseFile)
        .Assembly.GetManifestResourceNames()
        .Where(n => n.StartsWith("house/", StringComparison.Ordinal)).Order(StringComparer.Ordinal)
        .Select(n =>
        {
            using var file = JsonDocument.Parse(typeof(HouseFile).Assembly.GetManifestResourceStream(n)!);
            return Read(file.RootElement, null, ships: true);
        }).ToDictionary(h => h.Id);

    private const int MostTold = 12;

    private static readonly JsonSerializerOptions Indented = new()
    {
        WriteIndented = true,
        Encoder = System.Text.Encodings.Web.JavaScriptEncoder.UnsafeRelaxedJsonEscaping
    };

    /// <summary>The house, if its figures agree with each other.</summary>
    internal static House Checked(House h)
    {
        if (h.SpineRounding != Rounding.None && h.SpineStep is not { Units: > 0 })
            throw new Refusal("spine_step_mm",
                "`spine_rounding` needs a step: give `spine_step_mm` above 0, or round `none`");
        if (h.PagesLeast > h.PagesMost)
            throw new Refusal("pages_min", $"`pages_min` {h.PagesLeast} is over `pages_max` {h.PagesMost}: swap them");
        if (h.BookletPagesLeast > h.BookletPagesMost)
            throw new Refusal("booklet_pages_min",
                $"`booklet_pages_min` {h.BookletPagesLeast} is over `booklet_pages_max` {h.BookletPagesMost}: " +
                    $"swap them");
        if (h.TrimLeast.Width > h.TrimMost.Width || h.TrimLeast.Height > h.TrimMost.Height)
            throw new Refusal("trim_min_mm", "`trim_min_mm` is over `trim_max_mm`: swap them");
        return h;
    }

    private static string Nearest(string name)
    {
        var best = HouseKeys.All.Select(k => (k.Name, Shared: k.Name.Split('_').Intersect(name.Split('_')).Count()))
            .MaxBy(x => x.Shared);
        return best.Shared > 0 ? $": did you mean `{best.Name}`?" : "";
    }
}
