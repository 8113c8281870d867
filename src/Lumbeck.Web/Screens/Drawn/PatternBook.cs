namespace Lumbeck.Web.Screens;

/// <summary>Papers to choose from: for the ground, or for what fills a shape.</summary>
/// <param name="View">What is shown.</param>
/// <param name="Paper">What lies there; null where nothing does.</param>
/// <param name="Path">The path of the fact that picks a paper.</param>
/// <param name="At">The address of its small pictures, without kind, seed and width.</param>
/// <param name="Shape">The shape that is filled; null for the ground.</param>
public sealed record PatternBook(JobView View, Pattern? Paper, string Path, string At, ShapeItem? Shape = null)
{
    public bool IsGround => Shape is null;

    /// <summary>The paper that others go with: the ground’s, wherever they lie.</summary>
    public Pattern? GoesWith => View.Take.Ground.Pattern;

    /// <summary>The book of a shape’s fill.</summary>
    public static PatternBook Of(JobView view, ShapeItem shape) => new(view, shape.Fill?.Pattern, $"item/{shape.Id}/paper",
        $"{view.Base}/paper.jpg?sheet={view.Number}&item={shape.Id}&of={PatternPictures.Key(view.Job, view.Shown, shape)}", shape);
}
