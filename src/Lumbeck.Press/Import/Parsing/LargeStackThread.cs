using System.Runtime.ExceptionServices;

namespace Lumbeck.Press.Import.Parsing;

/// <summary>What lies deep within itself is read on a stack of its own.</summary>
internal static class LargeStackThread
{
    private const int Stack = 64 << 20;

    public static T Run<T>(Func<T> read)
    {
        var made = default(T);
        ExceptionDispatchInfo? failed = null;
        var reader = new Thread(() =>
        {
            try { made = read(); }
            catch (Exception e) { failed = ExceptionDispatchInfo.Capture(e); }
        }, Stack)
        { IsBackground = true };
        reader.Start();
        reader.Join();
        failed?.Throw();
        return made!;
    }
}
