"""Lists the events of a MIDI file as JSON rows [track, tick, kind, values], read by Debian's python3-mido."""

import json
import sys

import mido

file = mido.MidiFile(sys.argv[1])
rows = [[0, 0, "Header", [file.type, len(file.tracks), file.ticks_per_beat]]]
KINDS = {"track_name": "Title_t", "marker": "Marker_t"}
for number, track in enumerate(file.tracks, start=1):
    tick = 0
    for message in track:
        tick += message.time
        if message.type == "set_tempo":
            rows.append([number, tick, "Tempo", [message.tempo]])
        elif message.type == "time_signature":
            power = message.denominator.bit_length() - 1
            rows.append([number, tick, "Time_signature", [message.numerator, power]])
        elif message.type in KINDS:
            rows.append([number, tick, KINDS[message.type], [message.name if message.type == "track_name" else message.text]])
        elif message.type == "end_of_track":
            rows.append([number, tick, "End_track", []])
        elif message.type == "program_change":
            rows.append([number, tick, "Program_c", [message.channel, message.program]])
        elif message.type == "control_change":
            rows.append([number, tick, "Control_c", [message.channel, message.control, message.value]])
        elif message.type in ("note_on", "note_off"):
            kind = "Note_on_c" if message.type == "note_on" else "Note_off_c"
            rows.append([number, tick, kind, [message.channel, message.note, message.velocity]])
print(json.dumps(rows))
