using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.Filters;

namespace Lumbeck.Web;

/// <summary>A page that says itself what was refused of a form it sent.</summary>
public interface ITellsRefusals
{
    /// <param name="refusal">What can't be made, and why.</param>
    /// <param name="handler">The form, by its handler’s name; empty for the page’s first.</param>
    /// <returns>The page, or where to go; null where the refusal is answered as any other.</returns>
    ValueTask<IActionResult?> Tell(Refusal refusal, string handler);
}

/// <summary>Gives a form's refusal to its page. All others are answered by <see cref="RequestLog"/>.</summary>
internal sealed class RefusalsTold : IAsyncPageFilter
{
    public Task OnPageHandlerSelectionAsync(PageHandlerSelectedContext context) => Task.CompletedTask;

    public async Task OnPageHandlerExecutionAsync(PageHandlerExecutingContext context, PageHandlerExecutionDelegate next)
    {
        var done = await next();
        if (done is not { Exception: Refusal refusal, HandlerInstance: ITellsRefusals page }
            || HttpMethods.IsGet(context.HttpContext.Request.Method)
            || await page.Tell(refusal, done.HandlerMethod?.Name ?? "") is not { } told)
            return;
        (done.Result, done.ExceptionHandled) = (told, true);
    }
}
