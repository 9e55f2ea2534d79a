using System.Buffers.Binary;
using System.Text;

namespace Ullet.Server.Commands;

/// <summary>Reads rows out of the pages of an SQLite database without asking SQLite: for one whose inner pages are damaged.</summary>
/// <remarks>The file format is SQLite's own (https://sqlite.org/fileformat2.html): table leaf pages, records, overflow chains, and
/// the frames of a write-ahead log, the latest of which wins. Deleted rows may come along.</remarks>
internal sealed class SqlitePages
{
    private const byte TableLeaf = 0x0D;

    private const int FirstPageHeader = 100;

    private const int LogHeader = 32;

    private const int FrameHeader = 24;

    private readonly Dictionary<uint, ReadOnlyMemory<byte>> _pages = [];
    private readonly int _size;

    /// <param name="file">The database's bytes.</param>
    /// <param name="log">Its write-ahead log; empty for none.</param>
    internal SqlitePages(byte[] file, byte[] log)
    {
        _size = PageSize(file);
        for (var page = 0; (page + 1) * (long)_size <= file.Length; page++)
        {
            _pages[(uint)page + 1] = file.AsMemory(page * _size, _size);
        }
        for (var at = LogHeader; at + FrameHeader + _size <= log.Length; at += FrameHeader + _size)
        {
            // Frames of an older log carry another salt than its header.
            if (log.AsSpan(at + 8, 8).SequenceEqual(log.AsSpan(16, 8)))
            {
                _pages[BinaryPrimitives.ReadUInt32BigEndian(log.AsSpan(at))] = log.AsMemory(at + FrameHeader, _size);
            }
        }
    }

    /// <summary>Every row of one of some numbers of columns that can be read: the row's number, then its values (long, string, byte[] or
    /// null; other kinds as null).</summary>
    /// <param name="columns">How many a table had from build to build: columns are added behind those that were there.</param>
    internal IEnumerable<object?[]> Rows(params IReadOnlyList<int> columns)
    {
        foreach (var (number, page) in _pages.OrderBy(pair => pair.Key))
        {
            var header = number == 1 ? FirstPageHeader : 0;
            if (page.Span[header] != TableLeaf)
            {
                continue;
            }
            var count = BinaryPrimitives.ReadUInt16BigEndian(page.Span[(header + 3)..]);
            for (var cell = 0; cell < count && header + 10 + (cell * 2) <= _size; cell++)
            {
                var at = BinaryPrimitives.ReadUInt16BigEndian(page.Span[(header + 8 + (cell * 2))..]);
                if (Row(page.Span, at, columns) is { } row)
                {
                    yield return row;
                }
            }
        }
    }

    private static int PageSize(ReadOnlySpan<byte> file)
    {
        var said = file.Length > 18 ? BinaryPrimitives.ReadUInt16BigEndian(file[16..]) : 0;
        return said == 1 ? 65536
            : said >= 512 && (said & (said - 1)) == 0 ? said
            : 4096;
    }

    private object?[]? Row(ReadOnlySpan<byte> page, int at, IReadOnlyList<int> columns)
    {
        try
        {
            var length = (int)Number(page, ref at);
            var id = Number(page, ref at);
            if (length is <= 0 or > 200_000_000 || Payload(page, at, length) is not { } record)
            {
                return null;
            }
            return Values(record, id, columns);
        }
        catch (Exception wrong) when (wrong is ArgumentException or IndexOutOfRangeException or OverflowException)
        {
            // Not a cell, or a damaged one.
            return null;
        }
    }

    /// <summary>A cell's bytes: what lies on its page, then its overflow pages; null when one of them is missing.</summary>
    private byte[]? Payload(ReadOnlySpan<byte> page, int at, int length)
    {
        var most = _size - 35;
        var least = ((_size - 12) * 32 / 255) - 23;
        var local = length;
        if (length > most)
        {
            var rest = least + ((length - least) % (_size - 4));
            local = rest <= most ? rest : least;
        }
        var payload = new byte[length];
        page.Slice(at, local).CopyTo(payload);
        var next = local < length ? BinaryPrimitives.ReadUInt32BigEndian(page[(at + local)..]) : 0;
        while (local < length)
        {
            if (!_pages.TryGetValue(next, out var overflow))
            {
                return null;
            }
            var part = Math.Min(length - local, _size - 4);
            overflow.Span.Slice(4, part).CopyTo(payload.AsSpan(local));
            next = BinaryPrimitives.ReadUInt32BigEndian(overflow.Span);
            local += part;
        }
        return payload;
    }

    private static object?[]? Values(ReadOnlySpan<byte> record, long id, IReadOnlyList<int> columns)
    {
        var at = 0;
        var body = (int)Number(record, ref at);
        var kinds = new List<long>();
        while (at < body)
        {
            kinds.Add(Number(record, ref at));
        }
        if (!columns.Contains(kinds.Count))
        {
            return null;
        }
        var row = new object?[kinds.Count + 1];
        row[0] = id;
        for (var i = 0; i < kinds.Count; i++)
        {
            var size = Size(kinds[i]);
            row[i + 1] = Value(kinds[i], record.Slice(body, size));
            body += size;
        }
        return row;
    }

    private static int Size(long kind) =>
        kind switch
        {
            0 or 8 or 9 => 0,
            >= 1 and <= 4 => (int)kind,
            5 => 6,
            6 or 7 => 8,
            >= 12 => checked((int)((kind - 12) / 2)),
            _ => throw new ArgumentException("No kind of value."),
        };

    private static object? Value(long kind, ReadOnlySpan<byte> bytes) =>
        kind switch
        {
            >= 1 and <= 6 => Whole(bytes),
            8 => 0L,
            9 => 1L,
            >= 13 when kind % 2 == 1 => Encoding.UTF8.GetString(bytes),
            >= 12 => bytes.ToArray(),
            _ => null,
        };

    private static long Whole(ReadOnlySpan<byte> bytes)
    {
        var value = (long)(sbyte)bytes[0];
        foreach (var part in bytes[1..])
        {
            value = (value << 8) | part;
        }
        return value;
    }

    /// <summary>A number of one to nine bytes, seven bits each but the ninth.</summary>
    private static long Number(ReadOnlySpan<byte> bytes, ref int at)
    {
        var value = 0L;
        for (var i = 0; i < 8; i++)
        {
            var part = bytes[at++];
            value = (value << 7) | (part & 0x7Fu);
            if (part < 0x80)
            {
                return value;
            }
        }
        return (value << 8) | bytes[at++];
    }
}
