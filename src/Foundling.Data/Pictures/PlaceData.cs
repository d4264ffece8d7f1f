using System.Buffers.Binary;
using SkiaSharp;

namespace Foundling.Data.Pictures;

/// <summary>
/// Takes out of a picture what the camera noted beside it: where it was taken, when, and by which device. The picture itself
/// is left bit for bit as it was, and how the camera was held is kept.
/// </summary>
public static class PlaceData
{
    /// <summary>The picture without its notes; the same array when it carries none.</summary>
    public static byte[] Without(byte[] picture) => picture switch
    {
        [0xFF, 0xD8, ..] => Jpeg(picture),
        [0x89, (byte)'P', (byte)'N', (byte)'G', ..] => Png(picture),
        [(byte)'R', (byte)'I', (byte)'F', (byte)'F', _, _, _, _, (byte)'W', (byte)'E', (byte)'B', (byte)'P', ..] => Webp(picture),
        _ => picture,
    };

    private static byte[] Jpeg(byte[] picture)
    {
        const byte Marker = 0xFF, App1 = 0xE1, App13 = 0xED, Scan = 0xDA;
        var kept = new MemoryStream();
        kept.Write(picture.AsSpan(0, 2));
        int at = 2;
        bool dropped = false;
        while (at + 4 <= picture.Length && picture[at] == Marker && picture[at + 1] != Scan)
        {
            byte kind = picture[at + 1];
            int length = 2 + BinaryPrimitives.ReadUInt16BigEndian(picture.AsSpan(at + 2));
            if (at + length > picture.Length)
            {
                break;
            }
            if (kind is App1 or App13)
            {
                dropped = true;
            }
            else
            {
                kept.Write(picture.AsSpan(at, length));
            }
            at += length;
        }
        if (!dropped)
        {
            return picture;
        }
        kept.Write(picture.AsSpan(at));
        byte[] plain = kept.ToArray();
        return Held(picture) is byte held and > 1 ? [.. plain[..2], Marker, App1, 0, (byte)(2 + 6 + Turned(held).Length), .. "Exif\0\0"u8, .. Turned(held),
            .. plain[2..]] : plain;
    }

    private static byte[] Png(byte[] picture)
    {
        var kept = new MemoryStream();
        kept.Write(picture.AsSpan(0, 8));
        int at = 8;
        bool dropped = false;
        while (at + 12 <= picture.Length)
        {
            long length = 12L + BinaryPrimitives.ReadUInt32BigEndian(picture.AsSpan(at));
            if (at + length > picture.Length)
            {
                break;
            }
            if (System.Text.Encoding.ASCII.GetString(picture, at + 4, 4) is "eXIf" or "tEXt" or "zTXt" or "iTXt")
            {
                dropped = true;
            }
            else
            {
                kept.Write(picture.AsSpan(at, (int)length));
            }
            at += (int)length;
        }
        kept.Write(picture.AsSpan(at));
        return dropped ? kept.ToArray() : picture;
    }

    private static byte[] Webp(byte[] picture)
    {
        const byte HasExif = 0x08, HasXmp = 0x04;
        var kept = new MemoryStream();
        kept.Write(picture.AsSpan(0, 12));
        int at = 12;
        bool dropped = false;
        byte held = Held(picture);
        while (at + 8 <= picture.Length)
        {
            string name = System.Text.Encoding.ASCII.GetString(picture, at, 4);
            long length = BinaryPrimitives.ReadUInt32LittleEndian(picture.AsSpan(at + 4)), whole = 8 + length + (length & 1);
            if (at + whole > picture.Length)
            {
                break;
            }
            if (name is "EXIF" or "XMP ")
            {
                dropped = true;
            }
            else
            {
                int from = (int)kept.Position;
                kept.Write(picture.AsSpan(at, (int)whole));
                if (name == "VP8X")
                {
                    kept.GetBuffer()[from + 8] &= unchecked((byte)~(held > 1 ? HasXmp : HasExif | HasXmp));
                }
            }
            at += (int)whole;
        }
        if (!dropped)
        {
            return picture;
        }
        kept.Write(picture.AsSpan(at));
        if (held > 1)
        {
            kept.Write([.. "EXIF"u8, (byte)Turned(held).Length, 0, 0, 0, .. Turned(held)]);
        }
        byte[] plain = kept.ToArray();
        BinaryPrimitives.WriteUInt32LittleEndian(plain.AsSpan(4), (uint)(plain.Length - 8));
        return plain;
    }

    private static byte Held(byte[] picture)
    {
        using SKCodec? codec = SKCodec.Create(new SKMemoryStream(picture));
        return codec is null ? (byte)1 : (byte)codec.EncodedOrigin;
    }

    /// <summary>The least of notes: one entry that says how the camera was held.</summary>
    private static byte[] Turned(byte held) => [.. "MM\0*"u8, 0, 0, 0, 8, 0, 1, 0x01, 0x12, 0, 3, 0, 0, 0, 1, 0, held, 0, 0, 0, 0, 0, 0];
}
