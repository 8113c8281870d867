global using FsCheck;
global using FsCheck.Xunit;
