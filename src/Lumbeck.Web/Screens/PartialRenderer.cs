using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.Abstractions;
using Microsoft.AspNetCore.Mvc.ModelBinding;
using Microsoft.AspNetCore.Mvc.Razor;
using Microsoft.AspNetCore.Mvc.Rendering;
using Microsoft.AspNetCore.Mvc.ViewEngines;
using Microsoft.AspNetCore.Mvc.ViewFeatures;

namespace Lumbeck.Web.Screens;

/// <summary>
/// Renders a partial page to a string, so that the page sent whole and the part sent later are made by the same lines.
/// </summary>
public sealed class PartialRenderer(IRazorViewEngine views, ITempDataProvider temp, IServiceProvider services)
{
    /// <summary>Where parts lie within <c>Pages/Shared</c>, by subject; no two have one name.</summary>
    public static readonly IReadOnlyList<string> Folders =
        ["Job", "Facts", "Wrap", "Items", "Inside", "Check", "Press", "Houses"];

    private static readonly System.Collections.Concurrent.ConcurrentDictionary<string, string> Paths = new(StringComparer.Ordinal);

    private IView Found(string name)
    {
        if (Paths.TryGetValue(name, out var known)) return views.GetView(null, known, isMainPage: false).EnsureSuccessful([]).View!;
        foreach (var folder in Folders)
        {
            var path = $"/Pages/Shared/{folder}/{name}.cshtml";
            if (views.GetView(null, path, isMainPage: false) is not { Success: true, View: { } view }) continue;
            Paths[name] = path;
            return view;
        }
        throw new InvalidOperationException($"No part of a page is called {name}.");
    }

    public async Task<string> Render(string name, object model)
    {
        var context = new ActionContext(new DefaultHttpContext { RequestServices = services }, new RouteData(),
            new ActionDescriptor());
        var view = Found(name);
        await using var text = new StringWriter();
        var data = new ViewDataDictionary(new EmptyModelMetadataProvider(),
            new ModelStateDictionary())
        { Model = model };
        await view.RenderAsync(new ViewContext(context, view, data, new TempDataDictionary(context.HttpContext, temp),
            text, new HtmlHelperOptions()));
        return text.ToString().Trim();
    }
}
