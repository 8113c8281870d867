namespace Lumbeck.Store;

/// <summary>What is stored of a job can’t be read; the others are as they were.</summary>
public sealed class DamagedState(Exception cause) : Exception(Meaning, cause)
{
    /// <summary>What is the matter, and the way out.</summary>
    public const string Meaning =
        "What is stored of this job is damaged; bring it back from a pack, or from a copy of the data folder.";
}
