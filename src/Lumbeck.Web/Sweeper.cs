namespace Lumbeck.Web;

/// <summary>Sweeps the data folder when the program has begun, and every hour it goes on.</summary>
internal sealed class Sweeper(Desk.Desk desk) : BackgroundService
{
    protected override async Task ExecuteAsync(CancellationToken stoppingToken)
    {
        using var hours = new PeriodicTimer(TimeSpan.FromHours(1));
        try
        {
            do await Task.Run(() => Store.DataFolder.Sweep(desk.Folder, DateTimeOffset.UtcNow), stoppingToken);
            while (await hours.WaitForNextTickAsync(stoppingToken));
        }
        catch (OperationCanceledException) { /* the program ends */ }
    }
}
