using Lumbeck.Web;

var options = StartOptions.Read(args);
if (options.Problem is { } problem)
{
    await Console.Error.WriteLineAsync(problem);
    return 2;
}

var app = LumbeckHost.Build(options);
await app.StartAsync();
Console.WriteLine($"Lumbeck is open at {app.Urls.First()}");
await app.WaitForShutdownAsync();
return 0;
