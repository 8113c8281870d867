using Lumbeck.Desk.Orders;
using Lumbeck.Running;
using Lumbeck.Web;

var options = StartOptions.Read(args);
if (options.Problem is { } problem)
{
    await Console.Error.WriteLineAsync(problem);
    return 2;
}

Memory.Sparingly();
if (options.Order is var (order, worker))
{
    OwnWorker.EndWithParent();
    using var desk = new Lumbeck.Desk.AppServices(options.Data, TimeProvider.System, worker: worker);
    desk.Pressing.DoOnce(order);
    return 0;
}

WebApplication app;
try
{
    app = LumbeckHost.Build(options);
    await app.StartAsync();
}
catch (Lumbeck.Core.Refusal refusal)
{
    await Console.Error.WriteLineAsync(refusal.Message + ".");
    return 2;
}
catch (IOException e) when (e.InnerException is Microsoft.AspNetCore.Connections.AddressInUseException)
{
    await Console.Error.WriteLineAsync($"Port {options.Port} is taken: stop what uses it, or give another with " +
        $"--port N.");
    return 2;
}
Console.WriteLine($"Lumbeck is open at {app.Urls.First()}");
await app.WaitForShutdownAsync();
// Long work is given back, and what it started ends with it.
await app.DisposeAsync();
return 0;
