using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.Filters;

namespace Lumbeck.Web;

/// <summary>
/// What a page sends on is an address: letters that no header carries are escaped (RFC 3986, 2.1), and one that was made
/// longer than browsers take by what was sent is cut before its query.
/// </summary>
internal sealed class SoundRedirects : IAlwaysRunResultFilter
{
    private const int Most = 2000;

    public void OnResultExecuting(ResultExecutingContext context)
    {
        if (context.Result is not RedirectResult { Url: var to } redirect) return;
        var sound = string.Concat(to.EnumerateRunes().Select(r =>
            r.Value is > 0x20 and < 0x7f ? r.ToString() : Uri.EscapeDataString(r.ToString())));
        if (sound.Length > Most) sound = sound.Split('?', '#')[0];
        redirect.Url = sound.Length > Most ? "/" : sound;
    }

    public void OnResultExecuted(ResultExecutedContext context)
    {
        // Nothing is left to do.
    }
}
