using Microsoft.Extensions.Logging;

namespace Lumbeck.Desk.Working;

/// <summary>What an owner is told of long work; a job’s address is made of its title, so jobs are not named.</summary>
internal sealed partial class WorkLog(ILogger log)
{
    [LoggerMessage(1, LogLevel.Information, "Order {Kind} {Id} begun, for the {Attempt}. time")]
    public partial void Begun(string kind, string id, int attempt);

    [LoggerMessage(2, LogLevel.Information, "Order {Kind} {Id} done in {Milliseconds} ms")]
    public partial void Done(string kind, string id, long milliseconds);

    [LoggerMessage(3, LogLevel.Information, "Order {Kind} {Id} ended: {State}")]
    public partial void Ended(string kind, string id, string state);

    [LoggerMessage(4, LogLevel.Error, "Order {Kind} {Id} failed: {Cause}")]
    public partial void Failed(string kind, string id, string cause);

    [LoggerMessage(5, LogLevel.Error, "The store did not take what was written of {Piece}; it is tried again: {Cause}")]
    public partial void Unwritten(string piece, string cause);

    [LoggerMessage(6, LogLevel.Error, "The hand for {Hand} orders failed and begins again in {Seconds} s: {Cause}")]
    public partial void HandFailed(string hand, double seconds, string cause);

    [LoggerMessage(7, LogLevel.Information, "Order {Kind} {Id} begun in process {Process}")]
    public partial void Apart(string kind, string id, int process);

    [LoggerMessage(8, LogLevel.Information, "Order {Kind} {Id} took {Megabytes} MB in its process")]
    public partial void Memory(string kind, string id, long megabytes);
}
