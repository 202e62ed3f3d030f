"""Reads the notes of a Standard MIDI File, track by track; shares nothing with the application."""


def read_number(data, at):
    value = 0
    while True:
        byte = data[at]
        at += 1
        value = value << 7 | byte & 127
        if byte < 128:
            return value, at


def read_tracks(path):
    """Notes of every track by its name: (start, end, key, velocity)."""
    data = path.read_bytes()
    assert data[:4] == b"MThd"
    at = 14
    tracks = {}
    while at < len(data):
        size = int.from_bytes(data[at + 4:at + 8], "big")
        name, notes = read_track(data[at + 8:at + 8 + size])
        tracks[name] = notes
        at += 8 + size
    return tracks


def read_track(data):
    at = tick = status = 0
    name = ""
    open_notes = {}
    notes = []
    while at < len(data):
        delta, at = read_number(data, at)
        tick += delta
        if data[at] >= 128:
            status = data[at]
            at += 1
        if status == 255:
            kind = data[at]
            size, at = read_number(data, at + 1)
            if kind == 3 and not name:
                name = data[at:at + size].decode("utf-8", "replace")
            at += size
        elif status in (240, 247):
            size, at = read_number(data, at)
            at += size
        elif status & 240 in (192, 208):
            at += 1
        else:
            first, second = data[at], data[at + 1]
            at += 2
            kind = status & 240
            if kind == 144 and second:
                open_notes[first] = (tick, second)
            elif kind == 128 or kind == 144:
                start, velocity = open_notes.pop(first, (tick, 0))
                notes.append((start, tick, first, velocity))
    return name, sorted(notes)
