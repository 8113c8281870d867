using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.Abstractions;
using Microsoft.AspNetCore.Mvc.ModelBinding;
using Microsoft.AspNetCore.Mvc.Razor;
using Microsoft.AspNetCore.Mvc.Rendering;
using Microsoft.AspNetCore.Mvc.ViewFeatures;

namespace Lumbeck.Web.Screens;

/// <summary>
/// Renders a partial page to a string, so that the page sent whole and the part sent later are made by the same lines.
/// </summary>
public sealed class PartialRenderer(IRazorViewEngine views, ITempDataProvider temp, IServiceProvider services)
{
    public async Task<string> Render(string name, object model)
    {
        var context = new ActionContext(new DefaultHttpContext { RequestServices = services }, new RouteData(),
            new ActionDescriptor());
        var view = views.GetView(null, $"/Pages/Shared/{name}.cshtml", isMainPage: false).EnsureSuccessful([]).View!;
        await using var text = new StringWriter();
        var data = new ViewDataDictionary(new EmptyModelMetadataProvider(),
            new ModelStateDictionary())
        { Model = model };
        await view.RenderAsync(new ViewContext(context, view, data, new TempDataDictionary(context.HttpContext, temp),
            text, new HtmlHelperOptions()));
        return text.ToString().Trim();
    }
}
