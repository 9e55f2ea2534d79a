using Microsoft.AspNetCore.Http.HttpResults;
using Ullet.Server.Documents;

namespace Ullet.Server.Endpoints;

/// <summary>/api/room: what takes room, and "make room".</summary>
internal static class RoomEndpoints
{
    internal static void Map(IEndpointRouteBuilder app)
    {
        var group = app.MapGroup("/api/room").WithTags("Room");
        group.MapGet("", Used).WithName("roomUsed");
        group.MapPost("", Make).WithName("makeRoom");
    }

    private static async Task<Ok<RoomUsed>> Used(RoomKeeper room, CancellationToken cancellation) =>
        TypedResults.Ok(await room.Used(cancellation));

    private static async Task<Ok<RoomUsed>> Make(RoomWish wish, RoomKeeper room, CancellationToken cancellation)
    {
        await room.Make(wish, cancellation);
        return TypedResults.Ok(await room.Used(cancellation));
    }
}
