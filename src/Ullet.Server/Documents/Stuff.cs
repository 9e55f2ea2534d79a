using Ullet.Core.Projects;

namespace Ullet.Server.Documents;

/// <summary>Short ways to write cloths and threads that ship with Ullet.</summary>
internal static class Stuff
{
    internal static Cloth Cloth(
        string id,
        string name,
        string colour,
        ClothKind kind,
        ClothTexture texture = ClothTexture.Woven
    ) =>
        new()
        {
            Id = id,
            Name = name,
            Colour = colour,
            Kind = kind,
            Texture = texture,
        };

    internal static MachineThread Thread(string id, string name, string colour) =>
        new()
        {
            Id = id,
            Name = name,
            Colour = colour,
        };
}
