using System.Globalization;
using Dapper;
using DbUp;
using Microsoft.Data.Sqlite;

namespace Lumbeck.Store;

/// <summary>
/// A database's schema, brought to this program's by numbered scripts that never change (`Migrations`). What was there
/// is copied beside it first; one that a later program has changed is refused.
/// </summary>
internal static class Schema
{
    public const string Jobs = "jobs", Work = "work";

    /// <summary>Runs the scripts that a database has not seen.</summary>
    /// <param name="connection">The database.</param>
    /// <param name="set">Which scripts: <see cref="Jobs"/> or <see cref="Work"/>.</param>
    /// <returns>Why it can't be used; null where it can.</returns>
    /// <exception cref="Refusal">A later program has changed it.</exception>
    public static string? Upgrade(string connection, string set)
    {
        var engine = DeployChanges.To.SqliteDatabase(connection)
            .WithScriptsEmbeddedInAssembly(typeof(Schema).Assembly, name => Number(name, set) is not null)
            .WithTransactionPerScript().LogToNowhere().Build();
        var known = engine.GetDiscoveredScripts().Select(s => Number(s.Name, set)).OfType<int>().ToHashSet();
        var run = engine.GetExecutedScripts().Select(Number).OfType<int>().ToList();
        if (run.FirstOrDefault(n => !known.Contains(n)) is > 0 and var later)
            throw new Refusal("data", string.Create(CultureInfo.InvariantCulture,
                $"its database is of schema {later}, and this Lumbeck knows {known.Max()}: open it with the version that " +
                    $"wrote it, or a later one; nothing in it was changed"));
        if (run.Count > 0 && run.Count < known.Count) Copy(connection, run.Max());
        var result = engine.PerformUpgrade();
        return result.Successful ? null : result.Error.Message;
    }

    /// <summary>A script's number; null of another set's: the queue's lie in a folder of their own.</summary>
    private static int? Number(string name, string set) =>
        name.Contains(".Migrations.Work.", StringComparison.Ordinal) == (set == Work) ? Number(name) : null;

    private static int? Number(string name)
    {
        var file = name.Split('.')[^2];
        return file.Length > 4 && int.TryParse(file.AsSpan(0, 4), CultureInfo.InvariantCulture, out var n) ? n : null;
    }

    /// <summary>Copies the database as it stands to <c>NAME.schema-N</c> beside it, once for each schema.</summary>
    private static void Copy(string connection, int schema)
    {
        using var c = new SqliteConnection(connection);
        c.Open();
        var path = string.Create(CultureInfo.InvariantCulture, $"{c.DataSource}.schema-{schema}");
        if (File.Exists(path)) return;
        // Made under another name: a copy that was not finished is none.
        var half = path + ".part";
        File.Delete(half);
        c.Execute("VACUUM INTO @half", new { half });
        if (!OperatingSystem.IsWindows()) File.SetUnixFileMode(half, UnixFileMode.UserRead | UnixFileMode.UserWrite);
        File.Move(half, path);
    }
}
