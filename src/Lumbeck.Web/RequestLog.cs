using Lumbeck.Web.Routes;
using System.Diagnostics;
using Lumbeck.Desk.Working;
using Lumbeck.Web.Screens;
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
    /// Answers what can be expected to go wrong at any door: what is refused or was overtaken, a full disk and a store
    /// that does not answer; to a page's own askings in words, to a browser by a page.
    /// </summary>
    public async Task Run(HttpContext http, RequestDelegate next)
    {
        var since = Stopwatch.GetTimestamp();
        try { await next(http); }
        catch (Exception) when (http.RequestAborted.IsCancellationRequested) { /* nobody waits for it any more */ }
        catch (Exception e) when (!http.Response.HasStarted)
        {
            var (status, says) = Known(e, !HttpMethods.IsPost(http.Request.Method));
            if (e is not (Refusal or Conflict or BadHttpRequestException)) Failed(http.Request.Method, Route(http),
                ErrorCause.Of(e));
            http.Response.Clear();
            http.Response.StatusCode = status;
            // A browser gets a page, which is made of this status and sentence.
            http.Items[Sentence] = says;
            if (http.Request.Headers.ContainsKey("X-Lumbeck-Token") || http.Request.Method == "POST"
                && !http.Request.HasFormContentType)
                await (e switch
                {
                    Refusal r => Answers.Say(r.Path == "job" ? "" : r.Path, r.Message, status),
                    Conflict c => Answers.Overtaken(c),
                    _ => Answers.Say("", says, status),
                }).ExecuteAsync(http);
        }
        finally
        {
            var took = Stopwatch.GetElapsedTime(since);
            if (took > Slow) Took(http.Request.Method, Route(http), http.Response.StatusCode,
                (long)took.TotalMilliseconds);
        }
    }

    /// <summary>Under what a page that says what is wrong finds the sentence.</summary>
    public const string Sentence = "lumbeck-sentence";

    /// <param name="e">What went wrong.</param>
    /// <param name="isRead">Whether something was asked for that is not here, and nothing to be done.</param>
    private static (int Status, string Says) Known(Exception e, bool isRead) => e switch
    {
        Refusal { Path: "starter" or "livery" or "file" } r when isRead =>
            (StatusCodes.Status404NotFound, r.Sentence()),
        Refusal { Path: "job" } r => (StatusCodes.Status404NotFound, r.Sentence()),
        Refusal r => (StatusCodes.Status422UnprocessableEntity, r.Sentence()),
        FileNotFoundException when isRead => (StatusCodes.Status404NotFound, "What was asked for is not here."),
        Conflict c => (StatusCodes.Status409Conflict, c.Message),
        Store.DamagedState d => (StatusCodes.Status422UnprocessableEntity, d.Message),
        BadHttpRequestException b => (b.StatusCode, "This can’t be read: load the page again."),
        _ when Store.Disk.IsFull(e) => (StatusCodes.Status507InsufficientStorage, Store.Disk.Full),
        SqliteException s => (StatusCodes.Status503ServiceUnavailable, Store.DataFolder.Means(s)),
        _ => (StatusCodes.Status500InternalServerError, "Something went wrong within; what was saved is kept."),
    };

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
