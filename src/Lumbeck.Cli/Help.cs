namespace Lumbeck.Cli;

/// <summary>
/// What <c>--help</c> says: the very text of <c>-?</c>, which is made of the verbs; a test compares them.
/// </summary>
internal static class Help
{
    public static int Tell()
    {
        using var output = Console.OpenStandardOutput();
        output.Write("""
            Description:
              Lays out and presses full-wrap print covers.

            Usage:
              lumbeck [command] [options]

            Options:
              -?, -h, --help  Show help and usage information
              --version       Show version information

            Commands:
              wrap           Computes a cover's sheet.
              explain        Says what a printer's figures imply, and why they differ.
              template       Writes the blank sheet with its zones.
              jobs           Lists the jobs on the bench.
              ticket <JOB>   Says the facts of a book, and sets them.
              check <JOB>    Says what would stop the press.
              press <JOB>    Makes a file: for the printer, for screens, for a client, or to fold at home.
              work <FILE>    Does an order by itself: a file and a verdict.
              inside <JOB>   Says how an inside's pages come about, from a job or a runs file.
              intake <FILE>  Takes a finished file to the printer's reception.
              mend <FILE>    Makes a finished file from another program press-ready.
              pack <JOB>     Packs a job with all it needs into a ZIP file.
              unpack <FILE>  Begins a job from a packed one.
              art <FAMILY>   Draws a pattern, a vista or an ornament.
              puzzle         Judges a puzzle of your own.
              liveries       Lists the liveries; keeps one from a cover; files out and in.
              livery <JOB>   Puts a livery on a job, as a take beside its others.
              starter        Covers to begin from.


            """u8);
        return 0;
    }
}
