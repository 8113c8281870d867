using Lumbeck.Pdf.Reading;

namespace Lumbeck.Pdf.Functions;

/// <summary>A function in the small stack language (ISO 32000-1, 7.10.5).</summary>
internal sealed class PostScriptFunction : Function
{
    private const int MostSteps = 20_000, Deepest = 100;

    private readonly object[] _program;
    private readonly int _outputs;

    /// <exception cref="PdfReadException">It is not written in that language.</exception>
    public PostScriptFunction(double[] domain, double[] range, string code) : base(domain, range)
    {
        _outputs = range.Length / 2;
        var words = new Queue<string>(code.Replace("{", " { ", StringComparison.Ordinal).Replace("}", " } ",
            StringComparison.Ordinal)
            .Split((char[]?)null, StringSplitOptions.RemoveEmptyEntries));
        if (words.Count > MostSteps || !words.TryDequeue(out var first) || first != "{") throw No();
        _program = Block(words, 0);
    }

    private static PdfReadException No() => new("it holds a function that can’t be worked out");

    private static object[] Block(Queue<string> words, int depth)
    {
        if (depth > 40) throw No();
        var block = new List<object>();
        while (words.TryDequeue(out var word))
            switch (word)
            {
                case "{": block.Add(Block(words, depth + 1)); break;
                case "}": return [.. block];
                default:
                    block.Add(double.TryParse(word, NumberStyles.Float, CultureInfo.InvariantCulture,
                        out var n) ? n : word);
                    break;
            }
        throw No();
    }

    protected override double[] Worked(double[] x)
    {
        var stack = new List<double>(x);
        var steps = 0;
        Run(_program, stack, ref steps);
        var y = new double[_outputs];
        for (var n = 1; n <= Math.Min(_outputs, stack.Count); n++) y[^n] = stack[^n];
        return y;
    }

    private static void Run(object[] program, List<double> stack, ref int steps)
    {
        for (var n = 0; n < program.Length; n++)
        {
            if (++steps > MostSteps || stack.Count > Deepest) throw No();
            switch (program[n])
            {
                case double figure: stack.Add(figure); break;
                case object[] block:
                    if (n + 1 < program.Length && program[n + 1] is "if")
                    {
                        if (Pop(stack) != 0) Run(block, stack, ref steps);
                        n++;
                    }
                    else if (n + 2 < program.Length && program[n + 1] is object[] other && program[n + 2] is "ifelse")
                    {
                        Run(Pop(stack) != 0 ? block : other, stack, ref steps);
                        n += 2;
                    }
                    else throw No();
                    break;
                case string word: Do(word, stack); break;
            }
        }
    }

    private static double Pop(List<double> stack)
    {
        if (stack.Count == 0) throw No();
        var top = stack[^1];
        stack.RemoveAt(stack.Count - 1);
        return top;
    }

    private static void Do(string word, List<double> stack)
    {
        double pop() => Pop(stack);
        void one(Func<double, double> f) => stack.Add(f(pop()));
        void two(Func<double, double, double> f) { var b = pop(); var a = pop(); stack.Add(f(a, b)); }
        static double truth(bool is_) => is_ ? 1 : 0;
        switch (word)
        {
            case "add": two((a, b) => a + b); break;
            case "sub": two((a, b) => a - b); break;
            case "mul": two((a, b) => a * b); break;
            case "div": two((a, b) => b == 0 ? 0 : a / b); break;
            case "idiv": two((a, b) => b == 0 ? 0 : Math.Truncate(a / b)); break;
            case "mod": two((a, b) => b == 0 ? 0 : a % b); break;
            case "neg": one(a => -a); break;
            case "abs": one(Math.Abs); break;
            case "ceiling": one(Math.Ceiling); break;
            case "floor": one(Math.Floor); break;
            case "round": one(a => Math.Floor(a + 0.5)); break;
            case "truncate" or "cvi": one(Math.Truncate); break;
            case "cvr": break;
            case "sqrt": one(a => Math.Sqrt(Math.Max(0, a))); break;
            case "sin": one(a => Math.Sin(a * Math.PI / 180)); break;
            case "cos": one(a => Math.Cos(a * Math.PI / 180)); break;
            case "atan": two((a, b) => (Math.Atan2(a, b) * 180 / Math.PI + 360) % 360); break;
            case "exp": two((a, b) => Math.Pow(a, b) is var p && double.IsFinite(p) ? p : 0); break;
            case "ln": one(a => a > 0 ? Math.Log(a) : 0); break;
            case "log": one(a => a > 0 ? Math.Log10(a) : 0); break;
            case "eq": two((a, b) => truth(a == b)); break;
            case "ne": two((a, b) => truth(a != b)); break;
            case "gt": two((a, b) => truth(a > b)); break;
            case "ge": two((a, b) => truth(a >= b)); break;
            case "lt": two((a, b) => truth(a < b)); break;
            case "le": two((a, b) => truth(a <= b)); break;
            case "and": two((a, b) => (long)a & (long)b); break;
            case "or": two((a, b) => (long)a | (long)b); break;
            case "xor": two((a, b) => (long)a ^ (long)b); break;
            case "not": one(a => a is 0 or 1 ? 1 - a : ~(long)a); break;
            case "bitshift": two((a, b) => b >= 0 ? (long)a << (int)Math.Min(b, 31) : (long)a >> (int)Math.Min(-b,
                31)); break;
            case "true": stack.Add(1); break;
            case "false": stack.Add(0); break;
            case "pop": pop(); break;
            case "exch": { var b = pop(); var a = pop(); stack.Add(b); stack.Add(a); } break;
            case "dup": { var a = pop(); stack.Add(a); stack.Add(a); } break;
            case "copy":
                {
                    var n = (int)pop();
                    if (n < 0 || n > stack.Count) throw No();
                    stack.AddRange(stack.GetRange(stack.Count - n, n));
                }
                break;
            case "index":
                {
                    var n = (int)pop();
                    if (n < 0 || n >= stack.Count) throw No();
                    stack.Add(stack[^(n + 1)]);
                }
                break;
            case "roll":
                {
                    var by = (int)pop();
                    var n = (int)pop();
                    if (n < 0 || n > stack.Count) throw No();
                    if (n == 0) break;
                    by = ((by % n) + n) % n;
                    var top = stack.GetRange(stack.Count - n, n);
                    stack.RemoveRange(stack.Count - n, n);
                    stack.AddRange(top.Skip(n - by).Concat(top.Take(n - by)));
                }
                break;
            default: throw No();
        }
    }
}
