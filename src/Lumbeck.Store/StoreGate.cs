namespace Lumbeck.Store;

/// <summary>One program at a time in a data folder, for what must happen once in a store's life.</summary>
internal static class StoreGate
{
    /// <summary>Runs while no other program on this folder does the same.</summary>
    public static void Alone(string folder, Action work)
    {
        for (; ; )
            try
            {
                using var gate = new FileStream(Path.Combine(folder, "store.lock"), FileMode.OpenOrCreate,
                    FileAccess.ReadWrite, FileShare.None);
                work();
                return;
            }
            catch (IOException e) when (e is not (FileNotFoundException or DirectoryNotFoundException)
                && e.HResult is not 0 && IsHeld(e))
            {
                // Another program has the gate; it has it for a moment only.
                using var wait = new ManualResetEventSlim();
                wait.Wait(20);
            }
    }

    // EWOULDBLOCK and EACCES as .NET reports a file that another program holds.
    private static bool IsHeld(IOException e) => (e.HResult & 0xffff) is 11 or 13 or 32 or 35;
}
