using System.Text;
using Microsoft.Data.Sqlite;

namespace Lumbeck.Desk.Working;

/// <summary>
/// Why something failed, for an owner's log: kinds of errors, their codes and where they came from. Messages are left
/// out, for they may hold words of books.
/// </summary>
public static class ErrorCause
{
    /// <summary>One error and those within it, each with the lines of our own code it went through.</summary>
    public static string Of(Exception error)
    {
        var s = new StringBuilder();
        for (Exception? e = error; e is not null; e = e.InnerException)
        {
            if (s.Length > 0) s.Append(" < ");
            s.Append(e.GetType().FullName).Append(": ").Append(Code(e));
            var at = (e.StackTrace ?? "").Split('\n').Select(l => l.Trim().Split(" in ")[0])
                .Where(l => l.StartsWith("at Lumbeck.", StringComparison.Ordinal)).Take(6);
            foreach (var line in at) s.Append(' ').Append(line);
        }
        return s.ToString();
    }

    private static string Code(Exception e) => e switch
    {
        SqliteException s => string.Create(CultureInfo.InvariantCulture,
            $"SQLite {s.SqliteErrorCode}, {s.SqliteExtendedErrorCode}"),
        Refusal r => $"refused at {r.Path.Split('/')[0]}",
        _ => string.Create(CultureInfo.InvariantCulture, $"0x{e.HResult:x8}"),
    };
}
