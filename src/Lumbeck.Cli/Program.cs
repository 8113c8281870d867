using Lumbeck.Cli;

// What it can do is told before anything else of it is looked for.
if (args is ["--help"]) return Help.Tell();
return await Verbs.Run(args);
