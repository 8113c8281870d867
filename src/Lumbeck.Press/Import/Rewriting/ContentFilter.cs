using System.Buffers;
using System.Text;
using Lumbeck.Press.Import.Parsing;

namespace Lumbeck.Press.Import.Rewriting;

/// <summary>Content as it stands, but that only some of its operators paint.</summary>
/// <param name="content">Unpacked.</param>
/// <param name="words">Which operators paint, from 0.</param>
internal sealed class ContentFilter(byte[] content, HashSet<int> words)
{
    public byte[] Written()
    {
        var (lexer, to, operands, word) = (new ContentLexer(content), new ArrayBufferWriter<byte>(),
            new List<ContentToken>(), 0);
        var (mode, saved) = (0, new Stack<int>());
        void put(string text) => to.Write(Encoding.Latin1.GetBytes(text));
        for (var token = lexer.Next(); token.Kind != TokenKind.End; token = lexer.Next())
        {
            if (token.Kind != TokenKind.Operator) { operands.Add(token); continue; }
            var says = Encoding.Latin1.GetString(lexer.Raw(token));
            if (says is "true" or "false" or "null") { operands.Add(token); continue; }
            var stays = words.Contains(word++);
            void same()
            {
                foreach (var operand in operands) { to.Write(lexer.Raw(operand)); to.Write(" "u8); }
                put(says + "\n");
            }
            switch (says)
            {
                case "q": saved.Push(mode); same(); break;
                case "Q": if (saved.TryPop(out var was)) mode = was; same(); break;
                case "Tr": mode = (int)(operands.FirstOrDefault(o => o.Kind == TokenKind.Number).Number); same(); break;
                case "f" or "F" or "f*" or "S" or "s" or "B" or "B*" or "b" or "b*": if (stays) same(); else put("n\n"); break;
                case "Do" or "sh": if (stays) same(); break;
                case "BI":
                    while (lexer.Next() is { Kind: TokenKind.Name }) lexer.Next();
                    lexer.Samples(null);
                    break;
                // Where words end is where the next begin: they are set, and not seen.
                case "Tj" or "TJ" or "'" or "\"":
                    if (!stays) put("3 Tr\n");
                    same();
                    if (!stays) put(string.Create(CultureInfo.InvariantCulture, $"{mode} Tr\n"));
                    break;
                default: same(); break;
            }
            operands.Clear();
        }
        return to.WrittenSpan.ToArray();
    }
}
