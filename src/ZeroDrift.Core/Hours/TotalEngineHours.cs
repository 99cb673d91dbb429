using System.Buffers.Binary;

namespace ZeroDrift.Core.Hours;

/// <summary>
/// Total engine hours as an engine's controller says them on the machine's bus: parameter SPN 247 in the message PGN 65253 (SAE J1939-71; from memory):
/// the first four bytes, least significant first, 0.05 h a bit, no offset.
/// </summary>
public static class TotalEngineHours
{
    /// <summary>The message that carries it.</summary>
    public const int Pgn = 65253;

    /// <summary>Hours a bit is worth.</summary>
    public const double HoursPerBit = 0.05;

    /// <summary>The last value that is a figure: above it lie the codes for an error and, with all bits set, for "not available".</summary>
    private const uint LastFigure = 0xFAFFFFFF;

    /// <summary>The hours in a message's data.</summary>
    /// <param name="data">The message's bytes, eight as a rule, four at least.</param>
    /// <returns>The hours; null where they are not available, an error is told, or the data is too short.</returns>
    public static double? Of(ReadOnlySpan<byte> data)
    {
        if (data.Length < 4) return null;
        var bits = BinaryPrimitives.ReadUInt32LittleEndian(data);
        return bits > LastFigure ? null : bits * HoursPerBit;
    }

    /// <summary>The message's number and who sent it, from a 29-bit identifier. A message to one address carries that address where a broadcast has part of its number (SAE J1939-21; from memory).</summary>
    public static (int Pgn, int Source) Read(uint identifier)
    {
        var format = (identifier >> 16) & 0xFF;
        var number = (identifier >> 8) & 0x3FFFF;
        return ((int)(format < 240 ? number & 0x3FF00 : number), (int)(identifier & 0xFF));
    }
}
