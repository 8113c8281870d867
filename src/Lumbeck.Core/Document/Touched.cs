using System.Text.Json;

namespace Lumbeck.Core.Document;

/// <summary>
/// What differs between two states of a job, as addresses: what an edit touched is what its own result differs in.
/// Things with ids are told
/// apart by those, wherever they stand in their list.
/// </summary>
public static class Touched
{
    public static IReadOnlySet<Address> Between(Job before, Job after)
    {
        using var was = JsonDocument.Parse(JobJson.Written(before));
        using var now = JsonDocument.Parse(JobJson.Written(after));
        var found = new HashSet<Address>();
        Members(was.RootElement, now.RootElement, (name, a, b) =>
        {
            switch (name)
            {
                case "ticket": Members(a, b, (member, _, _) => found.Add(new TicketAddress(member))); break;
                case "swatches":
                    ById(a, b, "id",
                    (id, s, t) => Whole(s, t, m => found.Add(new SwatchAddress(id, m)))); break;
                case "waivers": ById(a, b, "rule", (rule, _, _) => found.Add(new WaiverAddress(rule))); break;
                case "wraps": Wraps(a, b, found); break;
                case "inside": Inside(a, b, found); break;
                default: found.Add(new JobAddress(name)); break;
            }
        });
        return found;
    }

    private static void Inside(JsonElement was, JsonElement now,
        HashSet<Address> found) => Members(was, now, (member, a, b) =>
    {
        if (member != "runs") { found.Add(new InsideAddress(member)); return; }
        ById(a, b, "id", (id, s, t) => Whole(s, t, m => found.Add(new RunAddress(id, m))));
        if (!Ids(a).SequenceEqual(Ids(b))) found.Add(new InsideAddress("order"));
    });

    private static void Wraps(JsonElement was, JsonElement now, HashSet<Address> found)
    {
        for (var wrap = 0; wrap < Math.Max(Count(was), Count(now)); wrap++)
        {
            var at = wrap;
            Members(At(was, wrap), At(now, wrap), (member, a, b) =>
            {
                if (member == "takes") Takes(a, b, at, found);
                else found.Add(new WrapAddress(at, member));
            });
        }
    }

    private static void Takes(JsonElement was, JsonElement now, int wrap, HashSet<Address> found)
    {
        // Takes that come or go change which there are.
        if (!Ids(was).SequenceEqual(Ids(now))) found.Add(new WrapAddress(wrap, "takes"));
        ById(was, now, "id", (take, x, y) =>
        {
            if (x.ValueKind != JsonValueKind.Object || y.ValueKind != JsonValueKind.Object) return;
            Members(x, y, (member, a, b) =>
            {
                if (member == "ground") Members(a, b, (m, _, _) => found.Add(new TakeAddress(wrap, take, m)));
                else if (member == "items") Items(a, b, wrap, take, found);
                else found.Add(new TakeAddress(wrap, take, member));
            });
        });
    }

    private static void Items(JsonElement was, JsonElement now, int wrap, string take, HashSet<Address> found)
    {
        ById(was, now, "id", (id, a, b) => Whole(a, b, member => found.Add(new ItemAddress(wrap, take, id, member))));
        var (before, after) = (Ids(was), Ids(now));
        // Which lies over which, of those that were there and are.
        if (!before.Where(after.Contains).SequenceEqual(after.Where(before.Contains)))
            found.Add(new TakeAddress(wrap, take, "order"));
    }

    /// <summary>The members of a thing that differ; all of it where it came or went.</summary>
    private static void Whole(JsonElement was, JsonElement now, Action<string> member)
    {
        if (was.ValueKind != JsonValueKind.Object || now.ValueKind != JsonValueKind.Object)
        {
            if (was.ValueKind != now.ValueKind) member("");
            return;
        }
        Members(was, now, (name, a, b) =>
        {
            if (name is "style" or "hold" or "fill") Members(a, b, (inner, _, _) => member($"{name}.{inner}"));
            else member(name);
        });
    }

    /// <summary>Members that two objects do not share alike; what one lacks is undefined.</summary>
    private static void Members(JsonElement was, JsonElement now, Action<string, JsonElement, JsonElement> differs)
    {
        var (a, b) = (Object(was), Object(now));
        foreach (var name in a.Keys.Union(b.Keys))
        {
            var (x, y) = (a.GetValueOrDefault(name), b.GetValueOrDefault(name));
            if (x.ValueKind != y.ValueKind
                || (x.ValueKind != JsonValueKind.Undefined && x.GetRawText() != y.GetRawText()))
                differs(name, x, y);
        }
    }

    private static void ById(JsonElement was, JsonElement now, string key,
        Action<string, JsonElement, JsonElement> differs)
    {
        var (a, b) = (List(was, key), List(now, key));
        foreach (var id in a.Keys.Union(b.Keys))
        {
            var (x, y) = (a.GetValueOrDefault(id), b.GetValueOrDefault(id));
            if (x.ValueKind != y.ValueKind || x.GetRawText() != y.GetRawText()) differs(id, x, y);
        }
    }

    private static Dictionary<string, JsonElement> Object(JsonElement e) =>
        e.ValueKind == JsonValueKind.Object ? e.EnumerateObject().ToDictionary(m => m.Name, m => m.Value) : [];

    private static Dictionary<string, JsonElement> List(JsonElement e, string key) =>
        e.ValueKind == JsonValueKind.Array
            ? e.EnumerateArray().ToDictionary(i => i.GetProperty(key).GetString()!, i => i)
            : [];

    private static List<string?> Ids(JsonElement list) =>
        list.ValueKind == JsonValueKind.Array
            ? [.. list.EnumerateArray().Select(i => i.GetProperty("id").GetString())]
            : [];
    private static int Count(JsonElement list) => list.ValueKind == JsonValueKind.Array ? list.GetArrayLength() : 0;
    private static JsonElement At(JsonElement list, int n) => n < Count(list) ? list[n] : default;
}
