using Lumbeck.Web.Routes;
using Lumbeck.Running;
using Lumbeck.Web.Screens;
using Microsoft.AspNetCore.DataProtection;
using Microsoft.AspNetCore.HostFiltering;
using Microsoft.AspNetCore.Mvc.ModelBinding;
using Microsoft.AspNetCore.ResponseCompression;

namespace Lumbeck.Web;

/// <summary>The web server: bound to this machine alone, and asking nothing of any other.</summary>
public static class LumbeckHost
{
    /// <summary>Everything a page needs comes from here, and nothing runs that is not a file of ours.</summary>
    public const string ContentSecurityPolicy =
        "default-src 'none'; script-src 'self'; style-src 'self'; img-src 'self' data:; font-src 'self'; connect-src " +
            "'self'; form-action 'self'; base-uri 'none'; frame-ancestors 'none'";

    public static WebApplication Build(StartOptions options)
    {
        // What is uploaded lies where what is left of it is swept.
        Environment.SetEnvironmentVariable("ASPNETCORE_TEMP", Aside.Folder().FullName);
        var builder =
            WebApplication.CreateBuilder(new WebApplicationOptions
            {
                ContentRootPath = AppContext.BaseDirectory,
                ApplicationName = typeof(LumbeckHost).Assembly.GetName().Name
            });
        builder.WebHost.UseStaticWebAssets();
        builder.WebHost.ConfigureKestrel(k =>
        {
            k.ListenLocalhostOnly(options.Port);
            k.AddServerHeader = false;
            k.Limits.MaxRequestBodySize = 4_500_000;
            // What is picked is named in the address: up to 500 items of 40 letters, before and after.
            k.Limits.MaxRequestLineSize = 65_536;
        });
        builder.Logging.ClearProviders();
        if (options.JsonLog) builder.Logging.AddJsonConsole(j => { j.UseUtcTimestamp = true; j.TimestampFormat = "O"; });
        else builder.Logging.AddSimpleConsole(c => { c.SingleLine = true; c.TimestampFormat = "yyyy-MM-dd HH:mm:ss "; });
        builder.Logging.SetMinimumLevel(LogLevel.Warning);
        builder.Logging.AddFilter("Lumbeck", LogLevel.Information);
        // Told by a log of our own, without the words that an error's message may hold.
        builder.Logging.AddFilter("Microsoft.AspNetCore.Diagnostics", LogLevel.None);
        // Both warn of what is meant: keys lie in the maker's own folder, and pages with a token are never cached.
        builder.Logging.AddFilter("Microsoft.AspNetCore.DataProtection", LogLevel.Error);
        builder.Logging.AddFilter("Microsoft.AspNetCore.Antiforgery", LogLevel.Error);
        builder.Services.Configure<HostFilteringOptions>(h => h.AllowedHosts = ["127.0.0.1", "localhost"]);
        builder.Services.AddSingleton(s => new Desk.AppServices(options.Data, TimeProvider.System,
            options.Demo ? DemoBench.Load : null, Console.Error.WriteLine, s.GetRequiredService<ILoggerFactory>()));
        builder.Services.AddSingleton<RequestLog>();
        builder.Services.AddDataProtection().SetApplicationName("Lumbeck")
            .PersistKeysToFileSystem(new DirectoryInfo(Path.Combine(options.Data, "keys")));
        builder.Services.AddAntiforgery(a => { a.HeaderName = "X-Lumbeck-Token"; a.Cookie.Name = "lumbeck"; });
        builder.Services.Configure<BrotliCompressionProviderOptions>(b =>
            b.Level = System.IO.Compression.CompressionLevel.Optimal);
        builder.Services.AddResponseCompression(c =>
            { c.MimeTypes = [.. ResponseCompressionDefaults.MimeTypes, "image/svg+xml"]; });
        builder.Services.ConfigureHttpJsonOptions(j =>
        {
            j.SerializerOptions.Converters.Add(
                new System.Text.Json.Serialization.JsonStringEnumConverter(System.Text.Json.JsonNamingPolicy.KebabCaseLower));
            // What is missing, or null where something must be, is refused before anything looks at it.
            j.SerializerOptions.RespectNullableAnnotations =
                j.SerializerOptions.RespectRequiredConstructorParameters = true;
            j.SerializerOptions.UnmappedMemberHandling =
                System.Text.Json.Serialization.JsonUnmappedMemberHandling.Disallow;
        });
        builder.Services.AddRazorPages().AddMvcOptions(o =>
        {
            // What the address says is what a page is of, whatever a form says beside it.
            var route = o.ValueProviderFactories.OfType<RouteValueProviderFactory>().Single();
            o.ValueProviderFactories.Remove(route);
            o.ValueProviderFactories.Insert(0, route);
            o.Filters.Add<SoundRedirects>();
            o.Filters.Add<RefusalsTold>();
            // What is empty is empty, not missing.
            o.ModelMetadataDetailsProviders.Add(new EmptyIsEmpty());
        }).AddRazorOptions(o =>
        {
            // Parts of pages lie in folders by subject, and are named without them.
            foreach (var formats in (IList<string>[])[o.ViewLocationFormats, o.PageViewLocationFormats])
                foreach (var folder in PartialRenderer.Folders) formats.Add($"/Pages/Shared/{folder}/{{0}}.cshtml");
        });
        builder.Services.AddSingleton<Drawings>();
        builder.Services.AddSingleton<PlatedItems>();
        builder.Services.AddSingleton<ScreenCache>();
        builder.Services.AddSingleton<Rows>();
        builder.Services.AddScoped<PartialRenderer>();
        builder.Services.AddScoped<ScreenMaker>();
        builder.Services.AddScoped<HouseScreens>();
        builder.Services.AddHostedService<Sweeper>();

        var app = builder.Build();
        app.UseHostFiltering();
        app.Use((context, next) =>
        {
            // On every answer, those among them that tell of an error and began anew.
            context.Response.OnStarting(() =>
            {
                var h = context.Response.Headers;
                h.ContentSecurityPolicy = ContentSecurityPolicy;
                h.XContentTypeOptions = "nosniff";
                h["Referrer-Policy"] = "no-referrer";
                h["Cross-Origin-Opener-Policy"] = "same-origin";
                h["Cross-Origin-Resource-Policy"] = "same-origin";
                return Task.CompletedTask;
            });
            return next(context);
        });
        app.UseResponseCompression();
        app.UseStatusCodePagesWithReExecute("/problem", "?code={0}");
        app.Use(app.Services.GetRequiredService<RequestLog>().Run);
        app.MapStaticAssets();
        app.MapRazorPages();
        EditRoutes.Map(app);
        InsideRoutes.Map(app);
        PageRoutes.Map(app);
        HouseRoutes.Map(app);
        PictureRoutes.Map(app);
        PlateRoutes.Map(app);
        LiveryRoutes.Map(app);
        MendRoutes.Map(app);
        ColourRoutes.Map(app);
        WorkRoutes.Map(app);
        FaceRoutes.Map(app);
        var log = app.Services.GetRequiredService<RequestLog>();
        app.Lifetime.ApplicationStarted.Register(() => log.Began(
            typeof(LumbeckHost).Assembly.GetName().Version!.ToString(3), options.Data, app.Urls.First()));
        app.Lifetime.ApplicationStopping.Register(log.Ends);
        var press = app.Services.GetRequiredService<Desk.AppServices>().Pressing;
        // Where this program runs, and not a test of it.
        if (System.Reflection.Assembly.GetEntryAssembly() == typeof(LumbeckHost).Assembly)
            press.Queue.Apart = (id, worker) => new("--order", id, worker, "--data", Path.GetFullPath(options.Data));
        press.StartWorks();
        return app;
    }

    private sealed class EmptyIsEmpty : Microsoft.AspNetCore.Mvc.ModelBinding.Metadata.IDisplayMetadataProvider
    {
        public void CreateDisplayMetadata(Microsoft.AspNetCore.Mvc.ModelBinding.Metadata.DisplayMetadataProviderContext context) =>
            context.DisplayMetadata.ConvertEmptyStringToNull = false;
    }

    private static void ListenLocalhostOnly(this Microsoft.AspNetCore.Server.Kestrel.Core.KestrelServerOptions k,
        int port) =>
        k.Listen(System.Net.IPAddress.Loopback, port);
}
