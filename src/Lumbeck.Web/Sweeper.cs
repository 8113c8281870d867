using Lumbeck.Running;

namespace Lumbeck.Web;

/// <summary>
/// Sweeps the data folder, and what programs that are gone left among the temporary files, when the program has begun,
/// and every hour it goes on.
/// </summary>
internal sealed class Sweeper(Desk.AppServices desk) : BackgroundService
{
    protected override async Task ExecuteAsync(CancellationToken stoppingToken)
    {
        using var hours = new PeriodicTimer(TimeSpan.FromHours(1));
        try
        {
            do await Task.Run(() => { Store.DataFolder.Sweep(desk.Folder, DateTimeOffset.UtcNow); Aside.Sweep(); },
                stoppingToken);
            while (await hours.WaitForNextTickAsync(stoppingToken));
        }
        catch (OperationCanceledException) { /* the program ends */ }
    }
}
