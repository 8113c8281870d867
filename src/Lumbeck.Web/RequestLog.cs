using System.Diagnostics;
using Lumbeck.Desk.Working;
using Microsoft.Data.Sqlite;

namespace Lumbeck.Web;

/// <summary>
/// What an owner is told of requests: those that failed, with their cause, and those that took longer than
/// <see cref="Slow"/>. They are named by their route, never by what a book is called.
/// </summary>
public sealed partial class RequestLog(ILogger<RequestLog> log)
{
    /// <summary>A request that takes longer is told.</summary>
    public static readonly TimeSpan Slow = TimeSpan.FromSeconds(1);

    /// <summary>
    /// Answers what can be expected to go wrong at any door: a full disk and a store that does not answer, to a page's
    /// own askings in words, to a browser by a page.
    /// </summary>
    public async Task Run(HttpContext http, RequestDelegate next)
    {
        var since = Stopwatch.GetTimestamp();
        try { await next(http); }
        catch (Exception) when (http.RequestAborted.IsCancellationRequested) { /* nobody waits for it any more */ }
        catch (Exception e) when (!http.Response.HasStarted)
        {
            Failed(http.Request.Method, Route(http), ErrorCause.Of(e));
            if (Known(e) is not var (status, says)) { await Answer(http, 500, Unknown); return; }
            await Answer(http, status, says);
        }
        finally
        {
            var took = Stopwatch.GetElapsedTime(since);
            if (took > Slow) Took(http.Request.Method, Route(http), http.Response.StatusCode, (long)took.TotalMilliseconds);
        }
    }

    private const string Unknown = "Something went wrong within; what was saved is kept.";

    private static (int Status, string Says)? Known(Exception e) => e switch
    {
        BadHttpRequestException b => (b.StatusCode, "This can’t be read: load the page again."),
        _ when Store.Disk.IsFull(e) => (StatusCodes.Status507InsufficientStorage, Store.Disk.Full),
        SqliteException { SqliteErrorCode: 11 or 26 } => (StatusCodes.Status503ServiceUnavailable, Damaged),
        SqliteException => (StatusCodes.Status503ServiceUnavailable,
            "The data folder does not answer just now; what was saved is kept. It is tried again."),
        _ => null,
    };

    /// <summary>What an owner does where a database can't be read.</summary>
    public const string Damaged = "A part of the data folder’s database can’t be read (it is damaged). Stop Lumbeck, copy " +
        "the folder aside, and put a saved copy of lumbeck.db in its place; packs of single jobs open as ever.";

    private static async Task Answer(HttpContext http, int status, string says)
    {
        http.Response.Clear();
        http.Response.StatusCode = status;
        // A browser gets a page, which is made of this status.
        if (http.Request.Headers.ContainsKey("X-Lumbeck-Token")) await Answers.Say("", says, status).ExecuteAsync(http);
    }

    private static string Route(HttpContext http) =>
        (http.GetEndpoint() as RouteEndpoint)?.RoutePattern.RawText ?? "(none)";

    [LoggerMessage(13, LogLevel.Information, "Lumbeck {Version} serves {Folder} at {Address}")]
    public partial void Began(string version, string folder, string address);

    [LoggerMessage(14, LogLevel.Information, "Lumbeck ends in order")]
    public partial void Ends();

    [LoggerMessage(11, LogLevel.Error, "{Method} {Route} failed: {Cause}")]
    private partial void Failed(string method, string route, string cause);

    [LoggerMessage(12, LogLevel.Warning, "{Method} {Route} was answered by {Status} after {Milliseconds} ms")]
    private partial void Took(string method, string route, int status, long milliseconds);
}
