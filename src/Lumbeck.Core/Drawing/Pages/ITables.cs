namespace Lumbeck.Core.Drawing.Pages;

/// <summary>The port through which tables of the Drawer come into pages.</summary>
public interface ITables
{
    /// <summary>A table's rows in the order of its heads; null where it is not here.</summary>
    ImmutableArray<ImmutableArray<string>>? Rows(string hash);
}
