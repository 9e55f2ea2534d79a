using Ullet.Core.Orders;

namespace Ullet.Server.Data;

/// <summary>A row of a project's order book.</summary>
public sealed class OrderRow
{
    public required string Id { get; init; }

    /// <summary>The master.</summary>
    public required string ProjectId { get; init; }

    /// <summary>Its place in the book.</summary>
    public double Position { get; set; }

    public required string Number { get; set; }

    public required string Reference { get; set; }

    public int Quantity { get; set; }

    /// <summary>What its fill-ins say: an object of texts by their ids.</summary>
    public required string Values { get; set; }

    public required string WantedBy { get; set; }

    public required string Note { get; set; }

    public OrderState State { get; set; }

    /// <summary>The master's revision that it holds to; null while it goes with the master.</summary>
    public long? Revision { get; set; }

    /// <summary>Stands for what is sewn and cut of it at that revision; null while it goes with the master.</summary>
    public string? Stamp { get; set; }

    /// <summary>The project that it was opened as, for work by hand; null for none.</summary>
    public string? OwnProjectId { get; set; }
}

/// <summary>One change of an order book: one step of its undo.</summary>
public sealed class OrderChangeRow
{
    public long Id { get; init; }

    public required string ProjectId { get; init; }

    public required string Label { get; init; }

    /// <summary>The rows that it changed, as they were.</summary>
    public required byte[] Before { get; init; }

    /// <summary>The same rows, as they are since.</summary>
    public required byte[] After { get; init; }

    public bool IsUndone { get; set; }
}

/// <summary>Files that were made of an order and are kept: the very bytes that were handed out.</summary>
public sealed class MadeRow
{
    public long Id { get; init; }

    public required string OrderId { get; init; }

    public required string ProjectId { get; init; }

    /// <summary>The master's revision that they were made from.</summary>
    public long Revision { get; init; }

    public required string Name { get; init; }

    /// <summary>The bytes, among the assets.</summary>
    public required string Sha256 { get; init; }

    public long Bytes { get; init; }

    /// <summary>Unix time, ms.</summary>
    public long At { get; init; }

    /// <summary>The program that made them.</summary>
    public required string Program { get; init; }

    /// <summary>The fonts that they were made with, and what they bring to the summary of a job: JSON.</summary>
    public required string Facts { get; init; }

    /// <summary>Stands for what is sewn and cut.</summary>
    public required string Stamp { get; init; }

    /// <summary>The hooping for several that it lies in: the same files for all of them; null for files of its own.</summary>
    public string? Hooping { get; init; }
}

/// <summary>Long work that goes on after a restart.</summary>
public sealed class JobRow
{
    public required string Id { get; init; }

    public required string ProjectId { get; init; }

    /// <summary>"packets" or "hoopings".</summary>
    public required string Kind { get; init; }

    public JobState State { get; set; }

    /// <summary>Unix time, ms.</summary>
    public long At { get; init; }

    /// <summary>What was asked for: JSON.</summary>
    public required string Wish { get; init; }
}

/// <summary>How a job stands.</summary>
public enum JobState
{
    Waiting,
    Running,
    Cancelled,
    Done,
}

/// <summary>One thing that a job makes.</summary>
public sealed class JobItemRow
{
    public required string JobId { get; init; }

    /// <summary>Its place in the job, from 0.</summary>
    public int Position { get; init; }

    /// <summary>The orders that it is about, divided by spaces: one, or those of a hooping.</summary>
    public required string OrderIds { get; init; }

    /// <summary>What it is called.</summary>
    public required string Name { get; init; }

    public JobItemState State { get; set; }

    /// <summary>Why it failed; empty where it did not.</summary>
    public required string Words { get; set; }

    /// <summary>The files that it made; null while there are none.</summary>
    public string? Sha256 { get; set; }
}

public enum JobItemState
{
    Waiting,
    Made,
    Failed,
}
