namespace Lumbeck.Desk.Jobs;

/// <summary>
/// Who does something. What changes a job takes one, and its steps say whose they are; houses and press files keep
/// nothing of whoever made them yet.
/// </summary>
/// <param name="Name">The person; today always the maker at this machine.</param>
/// <param name="Session">Where they sit: one open page, one command. Two of one person's can be in each other's
/// way.</param>
public readonly record struct Actor(string Name, string Session)
{
    /// <summary>The maker at this machine, in a session.</summary>
    public static Actor Maker(string session) => new("maker", session);

    /// <summary>A session alone stands for the maker.</summary>
    public static implicit operator Actor(string session) => Maker(session);
}
