using Ullet.Core.Projects;

namespace Ullet.Core.Edits;

/// <summary>The cloths and threads that a household owns.</summary>
public interface IStash
{
    StashCloth? FindCloth(string id);

    StashThread? FindThread(string id);
}

/// <summary>Nothing is owned.</summary>
public sealed class NoStash : IStash
{
    public StashCloth? FindCloth(string id) => null;

    public StashThread? FindThread(string id) => null;
}
