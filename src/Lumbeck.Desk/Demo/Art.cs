namespace Lumbeck.Desk.Demo;

/// <summary>The demo covers' pictures, rendered by our own code (art/Lumbeck.Art) and shipped as files.</summary>
internal static class Art
{
    /// <summary>Hangs one of them over the width of the box it hangs in; a height of 0 is the box's own.</summary>
    public static AddItem Over(Drawer drawer, string id, string file, int wide, int high, Hold hold, decimal tall)
    {
        var picture = drawer.Pictures.Lay(Path.Combine(AppContext.BaseDirectory, "demo-art", file),
            new("", file, wide, high, true), "rendered for this cover");
        return new AddItem(new PictureItem
        {
            Id = id,
            Hold = hold,
            Width = Span.Full,
            Height = tall == 0 ? Span.Full : new(Lay.Mm(tall)),
            Picture = picture
        });
    }
}
