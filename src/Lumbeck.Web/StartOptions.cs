namespace Lumbeck.Web;

/// <summary>
/// How the server is started: <c>--port N</c>, <c>--data DIR</c>, <c>--empty</c>, <c>--log json</c>.
/// </summary>
public sealed record StartOptions(int Port = 5080, string Data = "data", bool Demo = true, string? Problem = null,
    bool JsonLog = false, (string Id, string Worker)? Order = null)
{
    public static StartOptions Read(string[] args)
    {
        var o = new StartOptions(Data: Environment.GetEnvironmentVariable("LUMBECK_DATA") ?? "data");
        for (var i = 0; i < args.Length; i++)
            switch (args[i])
            {
                case "--empty": o = o with { Demo = false }; break;
                case "--port" when i + 1 < args.Length
                    && int.TryParse(args[i + 1], NumberStyles.None, CultureInfo.InvariantCulture, out var port)
                    && port <= 65535:
                    o = o with { Port = port }; i++; break;
                case "--data" when i + 1 < args.Length: o = o with { Data = args[++i] }; break;
                // How the program starts itself for one order.
                case "--order" when i + 2 < args.Length: o = o with { Order = (args[++i], args[++i]) }; break;
                case "--log" when i + 1 < args.Length && args[i + 1] is "json" or "lines":
                    o = o with { JsonLog = args[++i] == "json" }; break;
                case "--log": return o with { Problem = "--log takes json or lines." };
                case "--port": return o with { Problem = "--port takes a number up to 65535, such as --port 5080." };
                case "--data": return o with { Problem = "--data takes a folder, such as --data ./data." };
                default: return o with { Problem = $"`{args[i]}` is not known: --port N, --data DIR, --empty and --log json are." };
            }
        return o;
    }
}
