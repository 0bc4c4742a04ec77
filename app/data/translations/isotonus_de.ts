<?xml version="1.0" encoding="utf-8"?>
<!DOCTYPE TS>
<TS version="2.1" language="de_DE" sourcelanguage="en">
<context>
    <name>Command</name>
    <message>
        <source>Names and starts of sections, and the tempo, from a MIDI file or from cue points of a WAVE file.</source>
        <translation>Namen und Anfänge der Abschnitte und das Tempo, aus einer MIDI-Datei oder den Cue-Punkten einer WAVE-Datei.</translation>
    </message>
    <message>
        <source>For the program in which the music was made.</source>
        <translation>Für das Programm, in dem die Musik entstanden ist.</translation>
    </message>
    <message>
        <source>Tempo and time signature. Bars, note values and snapping to beats need them.</source>
        <translation>Tempo und Taktart. Takte, Notenwerte und das Einrasten auf Schläge brauchen sie.</translation>
    </message>
    <message>
        <source>Searches a folder for files that were moved or renamed.</source>
        <translation>Sucht in einem Ordner nach Dateien, die verschoben oder umbenannt wurden.</translation>
    </message>
    <message>
        <source>Copies the session and all its audio into one folder. Use it to move or archive the mix.</source>
        <translation>Kopiert die Sitzung und alle ihre Audiodateien in einen Ordner, zum Mitnehmen oder Archivieren.</translation>
    </message>
    <message>
        <source>Reads files that could not be read, or were changed since.</source>
        <translation>Liest Dateien, die nicht lesbar waren oder seither geändert wurden.</translation>
    </message>
    <message>
        <source>A finished set of tracks, on which everything can be tried.</source>
        <translation>Fertige Spuren, an denen sich alles ausprobieren lässt.</translation>
    </message>
    <message>
        <source>Gives the tracks of the demo chains of processors, to hear what Shape does.</source>
        <translation>Gibt den Spuren der Demo Ketten von Prozessoren, um zu hören, was Formen tut.</translation>
    </message>
    <message>
        <source>Dark colours for a dark room, and back.</source>
        <translation>Dunkle Farben für einen dunklen Raum, und zurück.</translation>
    </message>
    <message>
        <source>The faders alone, for a second screen.</source>
        <translation>Nur die Fader, für einen zweiten Bildschirm.</translation>
    </message>
    <message>
        <source>The live spectrum of the main output, beside every station.</source>
        <translation>Das laufende Spektrum der Summe, neben jeder Station.</translation>
    </message>
    <message>
        <source>Sound device, height of the tracks, language, and all else that holds for every session.</source>
        <translation>Audiogerät, Höhe der Spuren, Sprache und alles, was für jede Sitzung gilt.</translation>
    </message>
    <message>
        <source>All keys, those of this station first.</source>
        <translation>Alle Tasten, die dieser Station zuerst.</translation>
    </message>
    <message>
        <source>Explains the whole job on the demo, page by page.</source>
        <translation>Erklärt die ganze Arbeit an der Demo, Seite für Seite.</translation>
    </message>
    <message>
        <source>A second track of the same file, such as for parallel compression.</source>
        <translation>Eine zweite Spur derselben Datei, etwa für parallele Kompression.</translation>
    </message>
    <message>
        <source>Leaves a passage out of the level that is staged, such as an outro that is much louder.</source>
        <translation>Lässt eine Passage beim Einpegeln weg, etwa einen viel lauteren Schluss.</translation>
    </message>
    <message>
        <source>A target level for these tracks alone, instead of the one in the target sheet.</source>
        <translation>Ein Zielpegel nur für diese Spuren, statt dem des Zielblatts.</translation>
    </message>
    <message>
        <source>Makes these tracks louder against the rest without using headroom.</source>
        <translation>Macht diese Spuren lauter gegen den Rest, ohne Headroom zu verbrauchen.</translation>
    </message>
    <message>
        <source>The tracks play through one bus, which has a fader and a chain of its own.</source>
        <translation>Die Spuren spielen durch einen Bus mit eigenem Fader und eigener Kette.</translation>
    </message>
    <message>
        <source>One fader moves all of them together. Their audio takes the same way as before.</source>
        <translation>Ein Fader bewegt alle zusammen. Ihr Audio nimmt denselben Weg wie zuvor.</translation>
    </message>
    <message>
        <source>Click a control afterwards to read its description, which links to the glossary.</source>
        <translation>Danach ein Bedienelement anklicken, um seine Beschreibung zu lesen. Sie verweist auf das Glossar.</translation>
    </message>
    <message>
        <source>Compares microphones of one source. A delay or inverted polarity between them weakens the low end.</source>
        <translation>Vergleicht Mikrofone einer Quelle. Eine Verzögerung oder invertierte Polarität zwischen ihnen dünnt die Tiefen aus.</translation>
    </message>
    <message>
        <source>Each file becomes a track.</source>
        <translation>Jede Datei wird eine Spur.</translation>
    </message>
    <message>
        <source>Every audio file of the folder becomes a track.</source>
        <translation>Jede Audiodatei des Ordners wird eine Spur.</translation>
    </message>
</context>
<context>
    <name>Compare</name>
    <message>
        <source>all</source>
        <translation>alle</translation>
    </message>
</context>
<context>
    <name>Device</name>
    <message>
        <source>System output</source>
        <translation>Systemausgabe</translation>
    </message>
    <message>
        <source>Simulated: keeps time, makes no sound</source>
        <translation>Simuliert: hält die Zeit, macht keinen Ton</translation>
    </message>
    <message>
        <source>%1 (not connected)</source>
        <translation>%1 (nicht verbunden)</translation>
    </message>
</context>
<context>
    <name>QMenu</name>
    <message>
        <source>Colour %1</source>
        <translation>Farbe %1</translation>
    </message>
</context>
<context>
    <name>RideMenu</name>
    <message>
        <source>Ride this</source>
        <translation>Automatisieren</translation>
    </message>
    <message>
        <source>Ride this: %1</source>
        <translation>Automatisieren: %1</translation>
    </message>
    <message>
        <source>Rides of left and right need dual pan. Turn it on in the menu of the track&apos;s name.</source>
        <translation>Automation von links und rechts braucht getrenntes Panorama. Schalte es im Menü des Spurnamens ein.</translation>
    </message>
    <message>
        <source>Opens its lane in Ride. The value stays as it is.</source>
        <translation>Öffnet die Bahn dafür unter Fahren. Der Wert bleibt, wie er ist.</translation>
    </message>
</context>
<context>
    <name>Shape</name>
    <message>
        <source>%1 kHz</source>
        <translation>%1 kHz</translation>
    </message>
    <message>
        <source>%1 Hz</source>
        <translation>%1 Hz</translation>
    </message>
    <message>
        <source>main output</source>
        <translation>Summe</translation>
    </message>
</context>
<context>
    <name>Station</name>
    <message>
        <source>Balance</source>
        <translation>Balance</translation>
    </message>
    <message>
        <source>%1 too hot</source>
        <translation>%1 zu laut</translation>
    </message>
    <message>
        <source>fader, dB</source>
        <translation>Fader, dB</translation>
    </message>
    <message>
        <source>peak, dBFS</source>
        <translation>Spitze, dBFS</translation>
    </message>
    <message>
        <source>pan</source>
        <translation>Panorama</translation>
    </message>
    <message>
        <source>heard</source>
        <translation>hörbar</translation>
    </message>
    <message>
        <source>All down</source>
        <translation>Alle runter</translation>
    </message>
    <message>
        <source>All faders down</source>
        <translation>Alle Fader runter</translation>
    </message>
    <message>
        <source>All 0 dB</source>
        <translation>Alle 0 dB</translation>
    </message>
    <message>
        <source>All faders to 0 dB</source>
        <translation>Alle Fader auf 0 dB</translation>
    </message>
    <message>
        <source>Field</source>
        <translation>Feld</translation>
    </message>
    <message>
        <source>Compare</source>
        <translation>Vergleichen</translation>
    </message>
    <message numerus="yes">
        <source>%n recording(s)</source>
        <translation>
            <numerusform>%n Aufnahme</numerusform>
            <numerusform>%n Aufnahmen</numerusform>
        </translation>
    </message>
    <message>
        <source>share of %1</source>
        <translation>Anteil an %1</translation>
    </message>
    <message>
        <source>Gather</source>
        <translation>Sammeln</translation>
    </message>
    <message>
        <source>%1 missing</source>
        <translation>%1 fehlen</translation>
    </message>
    <message>
        <source>Clips and findings</source>
        <translation>Clips und Befunde</translation>
    </message>
    <message>
        <source>Hand off</source>
        <translation>Übergeben</translation>
    </message>
    <message>
        <source>headroom %1</source>
        <translation>Headroom %1</translation>
    </message>
    <message>
        <source>Ride</source>
        <translation>Fahren</translation>
    </message>
    <message>
        <source>Shape</source>
        <translation>Formen</translation>
    </message>
    <message>
        <source>chain</source>
        <translation>Kette</translation>
    </message>
    <message>
        <source>sends</source>
        <translation>Sends</translation>
    </message>
    <message>
        <source>Stage</source>
        <translation>Einpegeln</translation>
    </message>
    <message>
        <source>level over the song</source>
        <translation>Pegel über den Song</translation>
    </message>
    <message>
        <source>peak</source>
        <translation>Spitze</translation>
    </message>
    <message>
        <source>VU</source>
        <translation>VU</translation>
    </message>
    <message>
        <source>loudest</source>
        <translation>lauteste</translation>
    </message>
    <message>
        <source>after the trim, in the loop</source>
        <translation>nach dem Trim, im Loop</translation>
    </message>
    <message>
        <source>after the trim, dBFS</source>
        <translation>nach dem Trim, dBFS</translation>
    </message>
    <message>
        <source>Stage all</source>
        <translation>Alle einpegeln</translation>
    </message>
    <message>
        <source>Sheet…</source>
        <translation>Blatt…</translation>
    </message>
    <message>
        <source>Table…</source>
        <translation>Tabelle…</translation>
    </message>
    <message>
        <source>%1 of headroom</source>
        <translation>%1 Headroom</translation>
    </message>
    <message>
        <source>inside its window</source>
        <translation>im Fenster</translation>
    </message>
    <message>
        <source>Shows the tracks as points: across is pan, up is level, size is bandwidth. (V)</source>
        <translation>Zeigt die Spuren als Punkte: waagerecht ist Panorama, senkrecht Pegel, die Größe ist die Bandbreite. (V)</translation>
    </message>
    <message>
        <source>Shows the findings in the selected track, and its clips: split, trim, fade, gain. (E)</source>
        <translation>Zeigt die Befunde der ausgewählten Spur und ihre Clips: teilen, kürzen, blenden, Gain. (E)</translation>
    </message>
    <message>
        <source>recorded signal and findings</source>
        <translation>aufgenommenes Signal und Befunde</translation>
    </message>
    <message>
        <source>contribution of each track to the mix, after its fader</source>
        <translation>Beitrag jeder Spur zum Mix, nach ihrem Fader</translation>
    </message>
    <message>
        <source>%1 with rides</source>
        <translation>%1 mit Automation</translation>
    </message>
    <message>
        <source>ride of each track over its waveform; up is louder</source>
        <translation>Automation jeder Spur über ihrer Wellenform; oben ist lauter</translation>
    </message>
    <message>
        <source>all bypassed</source>
        <translation>alle umgangen</translation>
    </message>
    <message>
        <source>chain; click to bypass</source>
        <translation>Kette; Klick umgeht sie</translation>
    </message>
    <message>
        <source>%1 of %2, %3 limited</source>
        <translation>%1 von %2, %3 begrenzt</translation>
    </message>
    <message>
        <source>%1 of %2 in their windows</source>
        <translation>%1 von %2 im Fenster</translation>
    </message>
    <message>
        <source>Trims every unlocked track to its target window. Faders stay where they are.</source>
        <translation>Trimmt jede nicht gesperrte Spur in ihr Zielfenster. Fader bleiben, wo sie sind.</translation>
    </message>
    <message>
        <source>Shows the target level of each kind of track. (Ctrl+T)</source>
        <translation>Zeigt den Zielpegel jeder Art von Spur. (Strg+T)</translation>
    </message>
    <message>
        <source>Shows every figure before and after, and the options for tracks that do not reach their window. (Shift+T)</source>
        <translation>Zeigt alle Werte vorher und nachher und die Möglichkeiten für Spuren, die ihr Fenster nicht erreichen. (Umschalt+T)</translation>
    </message>
    <message>
        <source>Sets all faders to 0 dB, as after staging.</source>
        <translation>Stellt alle Fader auf 0 dB, wie nach dem Einpegeln.</translation>
    </message>
    <message>
        <source>plain RMS</source>
        <translation>einf. RMS</translation>
    </message>
    <message>
        <source>average</source>
        <translation>Mittelwert</translation>
    </message>
    <message>
        <source>after the fader, dBFS</source>
        <translation>nach dem Fader, dBFS</translation>
    </message>
    <message>
        <source>share of a band (click)</source>
        <translation>Anteil an einem Band (Klick)</translation>
    </message>
    <message numerus="yes">
        <source>%n track(s)</source>
        <translation>
            <numerusform>%n Spur</numerusform>
            <numerusform>%n Spuren</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <source>%n channel(s)</source>
        <translation>
            <numerusform>%n Kanal</numerusform>
            <numerusform>%n Kanäle</numerusform>
        </translation>
    </message>
    <message>
        <source>The fader of each track. Drag it, or double click the figure to type a level.</source>
        <translation>Der Fader jeder Spur. Ziehe ihn, oder tippe nach einem Doppelklick auf den Wert einen Pegel.</translation>
    </message>
    <message>
        <source>The live level after the fader. The tick is the peak of the whole song.</source>
        <translation>Der Pegel nach dem Fader, live. Die Marke ist die Spitze des ganzen Songs.</translation>
    </message>
    <message>
        <source>The peak of the whole song after the fader. Double click it to type a peak; the fader follows.</source>
        <translation>Die Spitze des ganzen Songs nach dem Fader. Tippe nach einem Doppelklick eine Spitze; der Fader folgt.</translation>
    </message>
    <message>
        <source>How much of the track is heard beside the others, when audibility is shown (U).</source>
        <translation>Wie viel von der Spur neben den anderen zu hören ist, wenn die Hörbarkeit gezeigt wird (U).</translation>
    </message>
    <message>
        <source>The pan of each track. Drag it, or press P to type it.</source>
        <translation>Das Panorama jeder Spur. Ziehe es, oder tippe es mit P.</translation>
    </message>
    <message>
        <source>The spectrum of each track over the song: faint before its chain, in colour after it.</source>
        <translation>Das Spektrum jeder Spur über den Song: blass vor der Kette, farbig danach.</translation>
    </message>
    <message>
        <source>How often each level occurs, with the threshold of the compressor.</source>
        <translation>Wie oft jeder Pegel vorkommt, mit dem Threshold des Kompressors.</translation>
    </message>
    <message>
        <source>The processors of each track in order, and its sends. Click a processor to bypass it.</source>
        <translation>Die Prozessoren jeder Spur der Reihe nach, und ihre Sends. Ein Klick umgeht einen Prozessor.</translation>
    </message>
    <message>
        <source>The sample peak after the trim. Percussive tracks are staged by it.</source>
        <translation>Der Spitzenpegel nach dem Trim. Perkussive Spuren werden danach eingepegelt.</translation>
    </message>
    <message>
        <source>The average after the trim. Sustained tracks are staged by it.</source>
        <translation>Der Mittelwert nach dem Trim. Gehaltene Spuren werden danach eingepegelt.</translation>
    </message>
    <message>
        <source>The highest reading of a VU needle after the trim; 0 VU is −18 dBFS.</source>
        <translation>Der höchste Ausschlag einer VU-Nadel nach dem Trim; 0 VU ist −18 dBFS.</translation>
    </message>
    <message>
        <source>Where the track is loudest. Check this place for a late peak.</source>
        <translation>Wo die Spur am lautesten ist. Prüfe dort auf eine späte Spitze.</translation>
    </message>
    <message>
        <source>The level of the file (hollow), after the trim (solid), and the target window (bracket).</source>
        <translation>Der Pegel der Datei (hohl), nach dem Trim (voll), und das Zielfenster (Klammer).</translation>
    </message>
    <message>
        <source>The level of the track over the whole song. A late peak is seen here.</source>
        <translation>Der Pegel der Spur über den ganzen Song. Eine späte Spitze ist hier zu sehen.</translation>
    </message>
    <message>
        <source>level, dBFS</source>
        <translation>Pegel, dBFS</translation>
    </message>
    <message>
        <source>Turns all faders all the way down. Then bring in the tracks one at a time.</source>
        <translation>Zieht alle Fader ganz nach unten. Dann hole die Spuren eine nach der anderen herein.</translation>
    </message>
    <message>
        <source>%1 still loading</source>
        <translation>%1 noch am Laden</translation>
    </message>
    <message numerus="yes">
        <source>%n track(s), %1 flagged</source>
        <translation>
            <numerusform>%n Spur, %1 markiert</numerusform>
            <numerusform>%n Spuren, %1 markiert</numerusform>
        </translation>
    </message>
</context>
<context>
    <name>Task</name>
    <message>
        <source>Files</source>
        <translation>Dateien</translation>
    </message>
    <message>
        <source>Song</source>
        <translation>Song</translation>
    </message>
    <message>
        <source>Gather</source>
        <translation>Sammeln</translation>
    </message>
    <message>
        <source>Stage</source>
        <translation>Einpegeln</translation>
    </message>
    <message>
        <source>Balance</source>
        <translation>Balance</translation>
    </message>
    <message>
        <source>Shape</source>
        <translation>Formen</translation>
    </message>
    <message>
        <source>Ride</source>
        <translation>Fahren</translation>
    </message>
    <message>
        <source>Compare</source>
        <translation>Vergleichen</translation>
    </message>
    <message>
        <source>Monitoring</source>
        <translation>Abhören</translation>
    </message>
    <message>
        <source>Tracks</source>
        <translation>Spuren</translation>
    </message>
    <message>
        <source>Window</source>
        <translation>Fenster</translation>
    </message>
</context>
<context>
    <name>Text</name>
    <message>
        <source>%1 MB</source>
        <translation>%1 MB</translation>
    </message>
</context>
<context>
    <name>isotonus</name>
    <message>
        <source>hold, ms</source>
        <translation>Hold, ms</translation>
    </message>
    <message>
        <source>Dips around %1</source>
        <translation>Senken bei %1</translation>
    </message>
    <message>
        <source>level</source>
        <translation>Pegel</translation>
    </message>
    <message>
        <source>trim</source>
        <translation>Trim</translation>
    </message>
    <message>
        <source>pan</source>
        <translation>Panorama</translation>
    </message>
    <message>
        <source>width</source>
        <translation>Breite</translation>
    </message>
    <message>
        <source>mute</source>
        <translation>Mute</translation>
    </message>
    <message>
        <source>send %1, %2</source>
        <translation>Send %1, %2</translation>
    </message>
    <message>
        <source>%1 %</source>
        <translation>%1 %</translation>
    </message>
    <message>
        <source>muted</source>
        <translation>stumm</translation>
    </message>
    <message>
        <source>on</source>
        <translation>an</translation>
    </message>
    <message>
        <source>{} dBFS at {}</source>
        <translation>{} dBFS bei {}</translation>
    </message>
    <message>
        <source>the mix is not too quiet: {} dBFS</source>
        <translation>der Mix ist nicht zu leise: {} dBFS</translation>
    </message>
    <message>
        <source>the true peak is {} dBTP</source>
        <translation>der True Peak ist {} dBTP</translation>
    </message>
    <message>
        <source>the mix does not clip</source>
        <translation>der Mix übersteuert nicht</translation>
    </message>
    <message>
        <source>the mix&apos;s DC offset is {:.3f} % of full scale</source>
        <translation>der DC-Versatz des Mixes ist {:.3f} % der Vollaussteuerung</translation>
    </message>
    <message>
        <source>the mix is silent for its last {:.1f} s</source>
        <translation>der Mix ist die letzten {:.1f} s still</translation>
    </message>
    <message>
        <source>the mix ends at {:.1f} dBFS: its end is cut off</source>
        <translation>der Mix endet bei {:.1f} dBFS: sein Ende ist abgeschnitten</translation>
    </message>
    <message>
        <source>files that cannot be used</source>
        <translation>unbrauchbare Dateien</translation>
    </message>
    <message>
        <source>every track&apos;s file is there</source>
        <translation>die Datei jeder Spur ist da</translation>
    </message>
    <message>
        <source>solo is on</source>
        <translation>Solo ist an</translation>
    </message>
    <message>
        <source>no solo is on</source>
        <translation>kein Solo ist an</translation>
    </message>
    <message>
        <source>nothing is muted</source>
        <translation>nichts ist stumm</translation>
    </message>
    <message>
        <source>every track reaches the main output</source>
        <translation>jede Spur erreicht die Summe</translation>
    </message>
    <message>
        <source>no track has clipped runs</source>
        <translation>keine Spur hat übersteuerte Stellen</translation>
    </message>
    <message>
        <source>DC offset</source>
        <translation>DC-Versatz</translation>
    </message>
    <message>
        <source>no track has a DC offset</source>
        <translation>keine Spur hat einen DC-Versatz</translation>
    </message>
    <message>
        <source>every file has the session&apos;s rate</source>
        <translation>jede Datei hat die Rate der Sitzung</translation>
    </message>
    <message>
        <source>recorded at a higher rate than the session&apos;s</source>
        <translation>mit höherer Rate aufgenommen als die der Sitzung</translation>
    </message>
    <message>
        <source>findings that are still open</source>
        <translation>noch offene Befunde</translation>
    </message>
    <message>
        <source>{} ({:+.1f} dBFS after {})</source>
        <translation>{} ({:+.1f} dBFS nach {})</translation>
    </message>
    <message>
        <source>no compressor reduces by more than 10 dB for long</source>
        <translation>kein Kompressor reduziert lange um mehr als 10 dB</translation>
    </message>
    <message>
        <source>the mix is silent from start to end</source>
        <translation>der Mix ist von Anfang bis Ende still</translation>
    </message>
    <message>
        <source>the main output has no chain</source>
        <translation>die Summe hat keine Kette</translation>
    </message>
    <message>
        <source>rides are bypassed</source>
        <translation>Automation ist umgangen</translation>
    </message>
    <message>
        <source>no ride is bypassed</source>
        <translation>keine Automation ist umgangen</translation>
    </message>
    <message>
        <source>you hear the mix as it is</source>
        <translation>du hörst den Mix, wie er ist</translation>
    </message>
    <message>
        <source>solo-safe</source>
        <translation>Solo-Safe</translation>
    </message>
    <message>
        <source>no longer solo-safe</source>
        <translation>kein Solo-Safe mehr</translation>
    </message>
    <message>
        <source>polarity inverted</source>
        <translation>Polarität invertiert</translation>
    </message>
    <message>
        <source>polarity as recorded</source>
        <translation>Polarität wie aufgenommen</translation>
    </message>
    <message>
        <source>delay</source>
        <translation>Verzögerung</translation>
    </message>
    <message>
        <source>{:.2f} samples</source>
        <translation>{:.2f} Samples</translation>
    </message>
    <message>
        <source>plays {}, was {}</source>
        <translation>spielt {}, war {}</translation>
    </message>
    <message>
        <source>its clips or channels have changed</source>
        <translation>ihre Clips oder Kanäle haben sich geändert</translation>
    </message>
    <message>
        <source>fader</source>
        <translation>Fader</translation>
    </message>
    <message>
        <source>no longer muted</source>
        <translation>nicht mehr stumm</translation>
    </message>
    <message>
        <source>solo</source>
        <translation>Solo</translation>
    </message>
    <message>
        <source>no longer solo</source>
        <translation>nicht mehr solo</translation>
    </message>
    <message>
        <source>main fader</source>
        <translation>Summenfader</translation>
    </message>
    <message>
        <source>sample rate</source>
        <translation>Samplerate</translation>
    </message>
    <message>
        <source>Clear the floor</source>
        <translation>Boden frei</translation>
    </message>
    <message>
        <source>Under the melody</source>
        <translation>Unter der Melodie</translation>
    </message>
    <message>
        <source>Still stage</source>
        <translation>Ruhige Bühne</translation>
    </message>
    <message>
        <source>Keep the hit</source>
        <translation>Den Schlag behalten</translation>
    </message>
    <message>
        <source>4:1 with an attack of 10 ms: the hit passes, its tail is held.</source>
        <translation>4:1 mit 10 ms Attack: der Schlag geht durch, sein Ausklang wird gehalten.</translation>
    </message>
    <message>
        <source>Sharper hit</source>
        <translation>Schärferer Schlag</translation>
    </message>
    <message>
        <source>More attack and less sustain: drums that were lost come forward.</source>
        <translation>Mehr Attack, weniger Sustain: verlorenes Schlagzeug kommt nach vorn.</translation>
    </message>
    <message>
        <source>Unboxed kick</source>
        <translation>Kick ohne Kiste</translation>
    </message>
    <message>
        <source>Scooped snare</source>
        <translation>Ausgehöhlte Snare</translation>
    </message>
    <message>
        <source>Quiet between hits</source>
        <translation>Still zwischen Schlägen</translation>
    </message>
    <message>
        <source>Catch the peaks</source>
        <translation>Spitzen fangen</translation>
    </message>
    <message>
        <source>20:1, as fast as it goes: only single peaks are held.</source>
        <translation>20:1, so schnell es geht: nur einzelne Spitzen werden gehalten.</translation>
    </message>
    <message>
        <source>Level bass</source>
        <translation>Gleichmäßiger Bass</translation>
    </message>
    <message>
        <source>4:1, slow: every note of a bass is as loud as the last.</source>
        <translation>4:1, langsam: jeder Ton des Basses ist so laut wie der letzte.</translation>
    </message>
    <message>
        <source>Bass on small speakers</source>
        <translation>Bass auf kleinen Lautsprechern</translation>
    </message>
    <message>
        <source>Body of the bass</source>
        <translation>Körper des Basses</translation>
    </message>
    <message>
        <source>A cut at 300 Hz and a small lift at 164 Hz.</source>
        <translation>Ein Schnitt bei 300 Hz und eine kleine Anhebung bei 164 Hz.</translation>
    </message>
    <message>
        <source>Guitars without mud</source>
        <translation>Gitarren ohne Matsch</translation>
    </message>
    <message>
        <source>A low cut at 110 Hz and a cut at 600 Hz, where guitars pile up.</source>
        <translation>Ein Low Cut bei 110 Hz und ein Schnitt bei 600 Hz, wo sich Gitarren stauen.</translation>
    </message>
    <message>
        <source>Room for a voice</source>
        <translation>Raum für eine Stimme</translation>
    </message>
    <message>
        <source>Even piano</source>
        <translation>Ebenes Klavier</translation>
    </message>
    <message>
        <source>Steady voice</source>
        <translation>Ruhige Stimme</translation>
    </message>
    <message>
        <source>A low cut at 100 Hz, then 3:1 with a fast attack for a voice in front.</source>
        <translation>Ein Low Cut bei 100 Hz, dann 3:1 mit schnellem Attack für eine Stimme vorn.</translation>
    </message>
    <message>
        <source>Softer s</source>
        <translation>Weicheres S</translation>
    </message>
    <message>
        <source>Voice in two steps</source>
        <translation>Stimme in zwei Schritten</translation>
    </message>
    <message>
        <source>5 dB fast, then 5 dB slow, rather than 10 at once.</source>
        <translation>5 dB schnell, dann 5 dB langsam, statt 10 auf einmal.</translation>
    </message>
    <message>
        <source>Boathouse</source>
        <translation>Bootshaus</translation>
    </message>
    <message>
        <source>A small wooden room around dry drums, a fifth of it.</source>
        <translation>Ein kleiner Holzraum um trockenes Schlagzeug, ein Fünftel davon.</translation>
    </message>
    <message>
        <source>Tin awning</source>
        <translation>Blechdach</translation>
    </message>
    <message>
        <source>Under the bridge</source>
        <translation>Unter der Brücke</translation>
    </message>
    <message>
        <source>Answer at once</source>
        <translation>Antwort sofort</translation>
    </message>
    <message>
        <source>One repeat after 110 ms: thicker, and not further away.</source>
        <translation>Eine Wiederholung nach 110 ms: dicker, und nicht weiter weg.</translation>
    </message>
    <message>
        <source>From bank to bank</source>
        <translation>Von Ufer zu Ufer</translation>
    </message>
    <message>
        <source>Repeats that go from side to side and grow duller.</source>
        <translation>Wiederholungen, die von Seite zu Seite gehen und dumpfer werden.</translation>
    </message>
    <message>
        <source>Two hulls</source>
        <translation>Zwei Rümpfe</translation>
    </message>
    <message>
        <source>Barely moving</source>
        <translation>Kaum bewegt</translation>
    </message>
    <message>
        <source>2:1, slow: a dB or two, for what should only hold together.</source>
        <translation>2:1, langsam: ein, zwei dB, für das, was nur zusammenhalten soll.</translation>
    </message>
    <message>
        <source>above</source>
        <translation>darüber</translation>
    </message>
    <message>
        <source>all</source>
        <translation>alle</translation>
    </message>
    <message>
        <source>apart</source>
        <translation>auseinander</translation>
    </message>
    <message>
        <source>asymmetric</source>
        <translation>asymmetrisch</translation>
    </message>
    <message>
        <source>attack</source>
        <translation>Attack</translation>
    </message>
    <message>
        <source>below</source>
        <translation>darunter</translation>
    </message>
    <message>
        <source>ceiling</source>
        <translation>Grenze</translation>
    </message>
    <message>
        <source>chorus</source>
        <translation>Chorus</translation>
    </message>
    <message>
        <source>clip</source>
        <translation>Clip</translation>
    </message>
    <message>
        <source>comp</source>
        <translation>Komp</translation>
    </message>
    <message>
        <source>compensate</source>
        <translation>ausgleichen</translation>
    </message>
    <message>
        <source>curve</source>
        <translation>Kurve</translation>
    </message>
    <message>
        <source>decay</source>
        <translation>Nachhallzeit</translation>
    </message>
    <message>
        <source>depth</source>
        <translation>Tiefe</translation>
    </message>
    <message>
        <source>detector</source>
        <translation>Detektor</translation>
    </message>
    <message>
        <source>drive</source>
        <translation>Sättigung</translation>
    </message>
    <message>
        <source>duck</source>
        <translation>Duck</translation>
    </message>
    <message>
        <source>early</source>
        <translation>früh</translation>
    </message>
    <message>
        <source>feedback</source>
        <translation>Feedback</translation>
    </message>
    <message>
        <source>flanger</source>
        <translation>Flanger</translation>
    </message>
    <message>
        <source>frequency</source>
        <translation>Frequenz</translation>
    </message>
    <message>
        <source>gain</source>
        <translation>Gain</translation>
    </message>
    <message>
        <source>gate</source>
        <translation>Gate</translation>
    </message>
    <message>
        <source>high</source>
        <translation>hoch</translation>
    </message>
    <message>
        <source>high cut</source>
        <translation>High Cut</translation>
    </message>
    <message>
        <source>high factor</source>
        <translation>Höhen-Faktor</translation>
    </message>
    <message>
        <source>hold</source>
        <translation>Hold</translation>
    </message>
    <message>
        <source>input</source>
        <translation>Eingang</translation>
    </message>
    <message>
        <source>kind</source>
        <translation>Art</translation>
    </message>
    <message>
        <source>knee</source>
        <translation>Knee</translation>
    </message>
    <message>
        <source>left</source>
        <translation>links</translation>
    </message>
    <message>
        <source>limit</source>
        <translation>Limit</translation>
    </message>
    <message>
        <source>lookahead</source>
        <translation>Lookahead</translation>
    </message>
    <message>
        <source>low</source>
        <translation>tief</translation>
    </message>
    <message>
        <source>low cut</source>
        <translation>Low Cut</translation>
    </message>
    <message>
        <source>low factor</source>
        <translation>Tiefen-Faktor</translation>
    </message>
    <message>
        <source>makeup</source>
        <translation>Makeup</translation>
    </message>
    <message>
        <source>mix</source>
        <translation>Mix</translation>
    </message>
    <message>
        <source>mod</source>
        <translation>Mod</translation>
    </message>
    <message>
        <source>modulation</source>
        <translation>Modulation</translation>
    </message>
    <message>
        <source>mono below</source>
        <translation>mono unter</translation>
    </message>
    <message>
        <source>off</source>
        <translation>aus</translation>
    </message>
    <message>
        <source>output</source>
        <translation>Ausgang</translation>
    </message>
    <message>
        <source>peak</source>
        <translation>Spitze</translation>
    </message>
    <message>
        <source>phaser</source>
        <translation>Phaser</translation>
    </message>
    <message>
        <source>ping pong</source>
        <translation>Ping-Pong</translation>
    </message>
    <message>
        <source>predelay</source>
        <translation>Predelay</translation>
    </message>
    <message>
        <source>range</source>
        <translation>Umfang</translation>
    </message>
    <message>
        <source>rate</source>
        <translation>Rate</translation>
    </message>
    <message>
        <source>ratio</source>
        <translation>Ratio</translation>
    </message>
    <message>
        <source>release</source>
        <translation>Release</translation>
    </message>
    <message>
        <source>release auto</source>
        <translation>Release automatisch</translation>
    </message>
    <message>
        <source>reverb</source>
        <translation>Hall</translation>
    </message>
    <message>
        <source>right</source>
        <translation>rechts</translation>
    </message>
    <message>
        <source>send</source>
        <translation>Send</translation>
    </message>
    <message>
        <source>shape</source>
        <translation>Form</translation>
    </message>
    <message>
        <source>size</source>
        <translation>Größe</translation>
    </message>
    <message>
        <source>slope</source>
        <translation>Steilheit</translation>
    </message>
    <message>
        <source>sustain</source>
        <translation>Sustain</translation>
    </message>
    <message>
        <source>threshold</source>
        <translation>Threshold</translation>
    </message>
    <message>
        <source>tone</source>
        <translation>Klang</translation>
    </message>
    <message>
        <source>transient</source>
        <translation>Transient</translation>
    </message>
    <message>
        <source>inverted against {}</source>
        <translation>gegen {} invertiert</translation>
    </message>
    <message>
        <source>{:.1f} ms late and inverted against {}</source>
        <translation>{:.1f} ms später und invertiert gegen {}</translation>
    </message>
    <message>
        <source>{:.1f} ms early and inverted against {}</source>
        <translation>{:.1f} ms früher und invertiert gegen {}</translation>
    </message>
    <message>
        <source>{:.1f} ms late against {}</source>
        <translation>{:.1f} ms später als {}</translation>
    </message>
    <message>
        <source>{:.1f} ms early against {}</source>
        <translation>{:.1f} ms früher als {}</translation>
    </message>
    <message>
        <source>starts at {:.1f} s</source>
        <translation>beginnt bei {:.1f} s</translation>
    </message>
    <message>
        <source>silent for {:.1f} s</source>
        <translation>{:.1f} s lang still</translation>
    </message>
    <message>
        <source>silent from start to end</source>
        <translation>von Anfang bis Ende still</translation>
    </message>
    <message>
        <source>clipped {}×</source>
        <translation>{}× übersteuert</translation>
    </message>
    <message>
        <source>mono in a stereo file</source>
        <translation>mono in einer Stereodatei</translation>
    </message>
    <message>
        <source>loses in mono (correlation {:.2f})</source>
        <translation>verliert in Mono (Korrelation {:.2f})</translation>
    </message>
    <message>
        <source>correlation {:.1f}</source>
        <translation>Korrelation {:.1f}</translation>
    </message>
    <message>
        <source>DC offset {:+.1f} %</source>
        <translation>DC-Versatz {:+.1f} %</translation>
    </message>
    <message>
        <source>{:.0f} % of its energy below 40 Hz</source>
        <translation>{:.0f} % der Energie unter 40 Hz</translation>
    </message>
    <message>
        <source>1 spike, {:.0f} dB above the rest</source>
        <translation>1 Ausreißer, {:.0f} dB über dem Rest</translation>
    </message>
    <message>
        <source>{} spikes, {:.0f} dB above the rest</source>
        <translation>{} Ausreißer, {:.0f} dB über dem Rest</translation>
    </message>
    <message>
        <source>quiet: average {:.0f} dBFS</source>
        <translation>leise: Mittelwert {:.0f} dBFS</translation>
    </message>
    <message>
        <source>noise floor {:.0f} dBFS</source>
        <translation>Rauschen bei {:.0f} dBFS</translation>
    </message>
    <message>
        <source>the file ends early</source>
        <translation>die Datei endet zu früh</translation>
    </message>
    <message>
        <source>peak at {:.1f} s</source>
        <translation>Spitze bei {:.1f} s</translation>
    </message>
    <message>
        <source>converted from {:g} kHz</source>
        <translation>gewandelt aus {:g} kHz</translation>
    </message>
    <message>
        <source>{} channels folded to stereo</source>
        <translation>{} Kanäle auf Stereo gefaltet</translation>
    </message>
    <message>
        <source>is heard</source>
        <translation>ist zu hören</translation>
    </message>
    <message>
        <source>sample peak</source>
        <translation>Spitzenpegel</translation>
    </message>
    <message>
        <source>above the limit</source>
        <translation>über der Grenze</translation>
    </message>
    <message>
        <source>loud enough</source>
        <translation>laut genug</translation>
    </message>
    <message>
        <source>true peak</source>
        <translation>True Peak</translation>
    </message>
    <message>
        <source>clipping</source>
        <translation>Übersteuerung</translation>
    </message>
    <message>
        <source>loudness</source>
        <translation>Lautheit</translation>
    </message>
    <message>
        <source>loss in mono</source>
        <translation>Mono-Verlust</translation>
    </message>
    <message>
        <source>deep reduction</source>
        <translation>tiefe Reduktion</translation>
    </message>
    <message>
        <source>over inside a chain</source>
        <translation>zu hoch in Kette</translation>
    </message>
    <message>
        <source>ride at its end</source>
        <translation>Automation am Anschlag</translation>
    </message>
    <message>
        <source>missing</source>
        <translation>fehlt</translation>
    </message>
    <message>
        <source>clipped</source>
        <translation>übersteuert</translation>
    </message>
    <message>
        <source>converted</source>
        <translation>gewandelt</translation>
    </message>
    <message>
        <source>findings</source>
        <translation>Befunde</translation>
    </message>
    <message>
        <source>main output</source>
        <translation>Summe</translation>
    </message>
    <message>
        <source>main chain</source>
        <translation>Summenkette</translation>
    </message>
    <message>
        <source>rides</source>
        <translation>Automation</translation>
    </message>
    <message>
        <source>monitoring</source>
        <translation>Abhören</translation>
    </message>
    <message>
        <source>no output</source>
        <translation>kein Ausgang</translation>
    </message>
    <message>
        <source>cannot run</source>
        <translation>läuft nicht</translation>
    </message>
    <message>
        <source>chains</source>
        <translation>Ketten</translation>
    </message>
    <message>
        <source>silence before</source>
        <translation>Stille davor</translation>
    </message>
    <message>
        <source>silence after</source>
        <translation>Stille danach</translation>
    </message>
    <message>
        <source>level at its end</source>
        <translation>Pegel am Ende</translation>
    </message>
    <message>
        <source>low-mid</source>
        <translation>untere Mitten</translation>
    </message>
    <message>
        <source>mid</source>
        <translation>Mitten</translation>
    </message>
    <message>
        <source>cancelled</source>
        <translation>abgebrochen</translation>
    </message>
    <message>
        <source>{} cannot be read: {}</source>
        <translation>{} kann nicht gelesen werden: {}</translation>
    </message>
    <message>
        <source>not a preset</source>
        <translation>keine Vorlage</translation>
    </message>
    <message>
        <source>must be bytes in hexadecimal</source>
        <translation>muss aus hexadezimalen Bytes bestehen</translation>
    </message>
    <message>
        <source>&apos;{}&apos; must be a list of whole numbers</source>
        <translation>„{}“ muss eine Liste ganzer Zahlen sein</translation>
    </message>
    <message>
        <source>not a session file</source>
        <translation>keine Sitzungsdatei</translation>
    </message>
    <message>
        <source>not a list of references</source>
        <translation>keine Liste von Referenzen</translation>
    </message>
    <message>
        <source>not a target sheet</source>
        <translation>kein Zielblatt</translation>
    </message>
    <message>
        <source>the file of the track &apos;{}&apos;</source>
        <translation>die Datei der Spur „{}“</translation>
    </message>
    <message>
        <source>the reference &apos;{}&apos;</source>
        <translation>die Referenz „{}“</translation>
    </message>
    <message>
        <source>the print &apos;{}&apos;</source>
        <translation>der Zwischenstand „{}“</translation>
    </message>
    <message>
        <source>ends too late</source>
        <translation>endet zu spät</translation>
    </message>
    <message>
        <source>must count every version once</source>
        <translation>muss jede Fassung einmal zählen</translation>
    </message>
    <message>
        <source>the file cannot be reached: {}</source>
        <translation>die Datei ist nicht erreichbar: {}</translation>
    </message>
    <message>
        <source>-inf dB</source>
        <translation>-inf dB</translation>
    </message>
    <message>
        <source>{} {}, was {}</source>
        <translation>{} {}, vorher {}</translation>
    </message>
    <message>
        <source>{} is now {}</source>
        <translation>{} ist jetzt {}</translation>
    </message>
    <message>
        <source>{}: {} {}, was {}</source>
        <translation>{}: {} {}, vorher {}</translation>
    </message>
    <message>
        <source>send to {}</source>
        <translation>Send an {}</translation>
    </message>
    <message>
        <source>{} of {}</source>
        <translation>{} von {}</translation>
    </message>
    <message>
        <source>{} of a send</source>
        <translation>{} eines Sends</translation>
    </message>
    <message>
        <source>must be after from_s</source>
        <translation>muss nach from_s liegen</translation>
    </message>
    <message>
        <source>is before from_s</source>
        <translation>liegt vor from_s</translation>
    </message>
    <message>
        <source>must be after song_from_s</source>
        <translation>muss nach song_from_s liegen</translation>
    </message>
    <message>
        <source>must be an object</source>
        <translation>muss ein Objekt sein</translation>
    </message>
    <message>
        <source>must be a number</source>
        <translation>muss eine Zahl sein</translation>
    </message>
    <message>
        <source>must be a whole number</source>
        <translation>muss eine ganze Zahl sein</translation>
    </message>
    <message>
        <source>must be true or false</source>
        <translation>muss true oder false sein</translation>
    </message>
    <message>
        <source>must be a string</source>
        <translation>muss ein Text sein</translation>
    </message>
    <message>
        <source>is longer than {} bytes</source>
        <translation>ist länger als {} Bytes</translation>
    </message>
    <message>
        <source>is missing</source>
        <translation>fehlt</translation>
    </message>
    <message>
        <source>cannot be &apos;{}&apos;</source>
        <translation>kann nicht „{}“ sein</translation>
    </message>
    <message>
        <source>must be a list</source>
        <translation>muss eine Liste sein</translation>
    </message>
    <message>
        <source>session</source>
        <translation>Sitzung</translation>
    </message>
    <message>
        <source>processors that cannot run</source>
        <translation>Prozessoren, die nicht laufen können</translation>
    </message>
    <message>
        <source>every processor can run</source>
        <translation>jeder Prozessor kann laufen</translation>
    </message>
    <message>
        <source>the main output&apos;s chain is bypassed</source>
        <translation>die Kette der Summe ist umgangen</translation>
    </message>
    <message>
        <source>the mix is exported without the main output&apos;s chain</source>
        <translation>der Mix wird ohne die Kette der Summe exportiert</translation>
    </message>
    <message>
        <source>the mix is exported with the main output&apos;s chain</source>
        <translation>der Mix wird mit der Kette der Summe exportiert</translation>
    </message>
    <message>
        <source>the mix is exported twice: without the main output&apos;s chain and with it</source>
        <translation>der Mix wird zweimal exportiert: ohne die Kette der Summe und mit ihr</translation>
    </message>
    <message>
        <source>&apos;{}&apos; cannot run in &apos;{}&apos;: {}</source>
        <translation>„{}“ kann in „{}“ nicht laufen: {}</translation>
    </message>
    <message>
        <source>&apos;{}&apos; of &apos;{}&apos; had &apos;{}&apos; as its sidechain source; it is bypassed now</source>
        <translation>„{}“ von „{}“ hatte „{}“ als Sidechain-Quelle und ist jetzt umgangen</translation>
    </message>
    <message>
        <source>set by hand</source>
        <translation>von Hand gesetzt</translation>
    </message>
    <message>
        <source>by its sound</source>
        <translation>nach dem Klang</translation>
    </message>
    <message>
        <source>Soft clip</source>
        <translation>Weiches Clipping</translation>
    </message>
    <message>
        <source>Rounds off single peaks of the main output instead of letting them clip.</source>
        <translation>Rundet einzelne Spitzen der Summe ab, statt sie abschneiden zu lassen.</translation>
    </message>
    <message>
        <source>For sharing</source>
        <translation>Zum Teilen</translation>
    </message>
    <message>
        <source>For the main output of a demo: a gentle shelf at 10 kHz, 2:1, and a limiter at -1 dBTP. Not for a mix that goes to mastering.</source>
        <translation>Für die Summe eines Demos: ein sanfter Shelf bei 10 kHz, 2:1 und ein Limiter bei -1 dBTP. Nicht für einen Mix, der zum Mastering geht.</translation>
    </message>
    <message>
        <source>Voice with echo and room</source>
        <translation>Stimme mit Echo und Raum</translation>
    </message>
    <message>
        <source>A cut at 300 Hz, a repeat after 250 ms and a short room, in one chain.</source>
        <translation>Eine Absenkung bei 300 Hz, eine Wiederholung nach 250 ms und ein kurzer Raum, in einer Kette.</translation>
    </message>
    <message>
        <source>Pressed copy, hits kept</source>
        <translation>Gepresste Kopie mit Schlägen</translation>
    </message>
    <message>
        <source>Bass below the kick</source>
        <translation>Bass unter der Kick</translation>
    </message>
    <message>
        <source>quiet: peak {:.0f} dBFS</source>
        <translation>leise: Spitze {:.0f} dBFS</translation>
    </message>
    <message>
        <source>band comp</source>
        <translation>Band-Komp</translation>
    </message>
    <message>
        <source>duck threshold</source>
        <translation>Duck-Threshold</translation>
    </message>
    <message>
        <source>low end</source>
        <translation>Bass und Kick</translation>
    </message>
    <message>
        <source>backbeat</source>
        <translation>Backbeat</translation>
    </message>
    <message>
        <source>lead</source>
        <translation>Führung</translation>
    </message>
    <message>
        <source>drums</source>
        <translation>Schlagzeug</translation>
    </message>
    <message>
        <source>hats and percussion</source>
        <translation>Hats und Percussion</translation>
    </message>
    <message>
        <source>keys, guitars and strings</source>
        <translation>Tasten, Gitarren und Streicher</translation>
    </message>
    <message>
        <source>further voices</source>
        <translation>weitere Stimmen</translation>
    </message>
    <message>
        <source>pads</source>
        <translation>Flächen</translation>
    </message>
    <message>
        <source>effects and ambience</source>
        <translation>Effekte und Atmo</translation>
    </message>
    <message>
        <source>other</source>
        <translation>übrige</translation>
    </message>
    <message>
        <source>Locked: it stays as it is, heard to {} %.</source>
        <translation>Gesperrt: Sie bleibt, wie sie ist, zu {} % hörbar.</translation>
    </message>
    <message>
        <source>Set by hand: it stays as it is, heard to {} %.</source>
        <translation>Von Hand eingestellt: Sie bleibt, wie sie ist, zu {} % hörbar.</translation>
    </message>
    <message>
        <source>An anchor ({}): at its working level, heard to {} % beside all others.</source>
        <translation>Ein Anker ({}): auf seinem Arbeitspegel, neben allen anderen zu {} % hörbar.</translation>
    </message>
    <message>
        <source>Heard to {} % when quiet, beside {}; more would cover {}.</source>
        <translation>Leise zu {} % zu hören, neben {}; mehr würde {} verdecken.</translation>
    </message>
    <message>
        <source>Heard to {} % when quiet, beside {}; more would lift its peak above {:.0f} dBFS.</source>
        <translation>Leise zu {} % zu hören, neben {}; mehr höbe die Spitze über {:.0f} dBFS.</translation>
    </message>
    <message>
        <source>The rough mix is silent from {:.1f} to {:.1f} s, while the tracks play: that part is left out.</source>
        <translation>Der Rohmix ist von {:.1f} bis {:.1f} s still, während die Spuren spielen: Dieser Teil bleibt außer Betracht.</translation>
    </message>
    <message>
        <source>An equaliser: highs {:+.1f} dB, from about {:.0f} Hz on.</source>
        <translation>Ein Equalizer: Höhen {:+.1f} dB, ab etwa {:.0f} Hz.</translation>
    </message>
    <message>
        <source>An equaliser: lows {:+.1f} dB, up to about {:.0f} Hz.</source>
        <translation>Ein Equalizer: Tiefen {:+.1f} dB, bis etwa {:.0f} Hz.</translation>
    </message>
    <message>
        <source>An equaliser: {:+.1f} dB around {:.0f} Hz.</source>
        <translation>Ein Equalizer: {:+.1f} dB um {:.0f} Hz.</translation>
    </message>
    <message>
        <source>A compressor takes {:.1f} dB half of the time; with a limiter {:.1f} dB at most.</source>
        <translation>Ein Kompressor nimmt die halbe Zeit {:.1f} dB weg, mit einem Limiter höchstens {:.1f} dB.</translation>
    </message>
    <message>
        <source>A limiter takes up to {:.1f} dB.</source>
        <translation>Ein Limiter nimmt bis zu {:.1f} dB weg.</translation>
    </message>
    <message>
        <source>All faders are {:.1f} dB lower than in the rough mix, since none goes above +12 dB.</source>
        <translation>Alle Fader liegen {:.1f} dB tiefer als im Rohmix, weil keiner über +12 dB geht.</translation>
    </message>
    <message>
        <source>{} in {}</source>
        <translation>{} in {}</translation>
    </message>
    <message>
        <source>How much of the result is processed sound; the rest is the sound as it came in. Lower it for parallel processing, keep 100 % on a return.</source>
        <translation>Wie viel vom Ergebnis bearbeitet ist; der Rest ist der Klang, wie er kam. Weniger für parallele Bearbeitung, 100 % auf einem Return.</translation>
    </message>
    <message>
        <source>Gain before the processor. Raise it to drive the processor harder.</source>
        <translation>Verstärkung vor dem Prozessor. Mehr davon treibt ihn stärker an.</translation>
    </message>
    <message>
        <source>Gain after the processor. Set it so that the sound is as loud with the processor as without it.</source>
        <translation>Verstärkung nach dem Prozessor. So einstellen, dass es mit und ohne ihn gleich laut ist.</translation>
    </message>
    <message>
        <source>Switches the processor on or bypasses it. Ride it to use the processor in one passage only.</source>
        <translation>Schaltet den Prozessor an oder umgeht ihn. Mit Automation gilt er nur in einer Passage.</translation>
    </message>
    <message>
        <source>Frequencies below it are removed. Start at 100 Hz, raise it until it is too much, then go back by 10 to 15 %.</source>
        <translation>Frequenzen darunter fallen weg. Bei 100 Hz beginnen, erhöhen, bis es zu viel ist, dann 10 bis 15 % zurück.</translation>
    </message>
    <message>
        <source>Frequencies above it are removed. Lower it to take hiss away or to move a sound further back.</source>
        <translation>Frequenzen darüber fallen weg. Senken gegen Rauschen oder um einen Klang nach hinten zu rücken.</translation>
    </message>
    <message>
        <source>How steeply the cut falls. 12 or 24 dB/oct suits most sounds; a steeper one for rumble.</source>
        <translation>Wie steil der Cut abfällt. 12 oder 24 dB/Okt. passen meist; steiler gegen Rumpeln.</translation>
    </message>
    <message>
        <source>Switches this band on or off. Compare both at the same loudness.</source>
        <translation>Schaltet dieses Band an oder aus. Bei gleicher Lautheit vergleichen.</translation>
    </message>
    <message>
        <source>What the band does: a bell around its frequency, a shelf above or below it, a cut or a notch. Use a bell first.</source>
        <translation>Was das Band tut: Glocke um seine Frequenz, Kuhschwanz darüber oder darunter, Cut oder Kerbe. Zuerst die Glocke nehmen.</translation>
    </message>
    <message>
        <source>The frequency in the middle of the band. Sweep it with a narrow boost to find a trouble spot.</source>
        <translation>Die Frequenz in der Mitte des Bandes. Mit einer schmalen Anhebung suchen, wo es stört.</translation>
    </message>
    <message>
        <source>How much the band raises or lowers. Small steps first; cutting usually sounds more natural than boosting.</source>
        <translation>Wie viel das Band anhebt oder absenkt. Erst kleine Schritte; Absenken klingt meist natürlicher.</translation>
    </message>
    <message>
        <source>How narrow the band is; higher is narrower. About 3 for a cut, 0.7 for a boost.</source>
        <translation>Wie schmal das Band ist; höher ist schmaler. Etwa 3 zum Absenken, 0,7 zum Anheben.</translation>
    </message>
    <message>
        <source>Which part of a stereo sound the band works on. Choose mid or side to treat the centre or the width alone.</source>
        <translation>Auf welchen Teil eines Stereoklangs das Band wirkt. Mitte oder Seite, um nur eines davon zu bearbeiten.</translation>
    </message>
    <message>
        <source>What rises above this level is turned down. Lower it until the meter shows the reduction that you want: 2 to 3 dB for a voice.</source>
        <translation>Was über diesen Pegel steigt, wird leiser. Senken, bis die Anzeige die gewünschte Reduktion zeigt: 2 bis 3 dB für eine Stimme.</translation>
    </message>
    <message>
        <source>How much of what rises above the threshold is left. 3:1 for a lead, 2:1 where it should not be noticed.</source>
        <translation>Wie viel von dem bleibt, was über den Threshold steigt. 3:1 für die Führung, 2:1, wo es nicht auffallen soll.</translation>
    </message>
    <message>
        <source>How gradually the reduction begins around the threshold. Wider is less noticeable, 0 dB is strictest.</source>
        <translation>Wie allmählich die Reduktion um den Threshold beginnt. Breiter fällt weniger auf, 0 dB ist am strengsten.</translation>
    </message>
    <message>
        <source>How fast the level is turned down. About 10 ms keeps the hit of a drum; faster catches peaks.</source>
        <translation>Wie schnell der Pegel sinkt. Etwa 10 ms lassen den Anschlag einer Trommel; schneller fängt Spitzen.</translation>
    </message>
    <message>
        <source>How fast the level comes back. Set it so that it has recovered before the next hit.</source>
        <translation>Wie schnell der Pegel zurückkommt. So einstellen, dass er vor dem nächsten Schlag erholt ist.</translation>
    </message>
    <message>
        <source>Lets the release follow the sound: fast after peaks, slow after long passages. Use it when one release does not fit.</source>
        <translation>Das Release folgt dem Klang: schnell nach Spitzen, langsam nach langen Stellen. Wenn ein fester Wert nicht passt.</translation>
    </message>
    <message>
        <source>The compressor sees the sound this much earlier. Raise it when even the fastest attack lets peaks through.</source>
        <translation>So viel früher sieht der Kompressor den Klang. Erhöhen, wenn selbst der schnellste Attack Spitzen durchlässt.</translation>
    </message>
    <message>
        <source>Gain that replaces what was taken away. Set it so that bypass sounds as loud.</source>
        <translation>Verstärkung, die das Weggenommene ersetzt. So einstellen, dass Bypass gleich laut klingt.</translation>
    </message>
    <message>
        <source>What the level is judged by: the peak or the average. Peak for drums, average for voices and bass.</source>
        <translation>Wonach der Pegel beurteilt wird: Spitze oder Mittelwert. Spitze für Schlagzeug, Mittelwert für Stimmen und Bass.</translation>
    </message>
    <message>
        <source>Removes lows from what the level is judged by; the sound itself keeps them. Raise it when a kick triggers too much.</source>
        <translation>Nimmt Tiefen aus dem, wonach beurteilt wird; der Klang behält sie. Erhöhen, wenn eine Kick zu viel auslöst.</translation>
    </message>
    <message>
        <source>Removes highs from what the level is judged by. Lower it when hats trigger too much.</source>
        <translation>Nimmt Höhen aus dem, wonach beurteilt wird. Senken, wenn Hats zu viel auslösen.</translation>
    </message>
    <message>
        <source>The most that is ever taken away. Lower it to keep a compressor gentle in loud passages.</source>
        <translation>So viel wird höchstens weggenommen. Senken, damit ein Kompressor in lauten Stellen sanft bleibt.</translation>
    </message>
    <message>
        <source>Which band is compressed: below, above or within two frequencies. Above for sharp highs, below for a bass under a kick.</source>
        <translation>Welches Band komprimiert wird: unter, über oder zwischen zwei Frequenzen. Darüber für scharfe Höhen, darunter für einen Bass unter der Kick.</translation>
    </message>
    <message>
        <source>The lower edge of the band. Set it just below what disturbs.</source>
        <translation>Die untere Kante des Bandes. Knapp unter das setzen, was stört.</translation>
    </message>
    <message>
        <source>The upper edge of the band. Set it just above what disturbs.</source>
        <translation>Die obere Kante des Bandes. Knapp über das setzen, was stört.</translation>
    </message>
    <message>
        <source>When the band rises above this level it is turned down. Lower it until only what disturbs is caught.</source>
        <translation>Steigt das Band über diesen Pegel, wird es leiser. Senken, bis nur das Störende erfasst ist.</translation>
    </message>
    <message>
        <source>How fast the band is turned down. 1 to 5 ms for sibilance, slower for lows.</source>
        <translation>Wie schnell das Band leiser wird. 1 bis 5 ms für Zischlaute, langsamer für Tiefen.</translation>
    </message>
    <message>
        <source>How fast the band comes back. 50 to 150 ms suits most sounds.</source>
        <translation>Wie schnell das Band zurückkommt. 50 bis 150 ms passen meist.</translation>
    </message>
    <message>
        <source>The most that is ever taken from the band. 6 dB is plenty for sibilance.</source>
        <translation>So viel wird dem Band höchstens genommen. 6 dB sind für Zischlaute reichlich.</translation>
    </message>
    <message>
        <source>When the sidechain source rises above this level, this channel is turned down. Start far down and raise it until it sounds natural.</source>
        <translation>Steigt die Sidechain-Quelle über diesen Pegel, wird dieser Kanal leiser. Weit unten beginnen und erhöhen, bis es natürlich klingt.</translation>
    </message>
    <message>
        <source>How far this channel is turned down. 3 to 6 dB makes room, more is an effect.</source>
        <translation>Wie weit dieser Kanal leiser wird. 3 bis 6 dB schaffen Platz, mehr ist ein Effekt.</translation>
    </message>
    <message>
        <source>How long it stays down after the source. About as long as the kick sounds.</source>
        <translation>Wie lange er nach der Quelle unten bleibt. Etwa so lange, wie die Kick klingt.</translation>
    </message>
    <message>
        <source>How fast it comes back. Set it in time with the beat.</source>
        <translation>Wie schnell er zurückkommt. Im Takt einstellen.</translation>
    </message>
    <message>
        <source>What is turned down: everything, or only a band. The low end alone is enough for a kick against a bass.</source>
        <translation>Was leiser wird: alles oder nur ein Band. Für eine Kick gegen einen Bass genügen die Tiefen.</translation>
    </message>
    <message>
        <source>The lower edge of the band that is turned down. 100 Hz is a start for a bass.</source>
        <translation>Die untere Kante des Bandes, das leiser wird. 100 Hz sind für einen Bass ein Anfang.</translation>
    </message>
    <message>
        <source>The upper edge of the band that is turned down. 500 Hz is a start for a bass.</source>
        <translation>Die obere Kante des Bandes, das leiser wird. 500 Hz sind für einen Bass ein Anfang.</translation>
    </message>
    <message>
        <source>Sound below this level is turned down. Set it between the noise and the softest note that you want to keep.</source>
        <translation>Was unter diesem Pegel liegt, wird leiser. Zwischen das Rauschen und den leisesten Ton setzen, der bleiben soll.</translation>
    </message>
    <message>
        <source>How far the gate turns down when it is closed. 10 to 20 dB sounds more natural than silence.</source>
        <translation>Wie weit das geschlossene Gate absenkt. 10 bis 20 dB klingen natürlicher als Stille.</translation>
    </message>
    <message>
        <source>How fast the gate opens. Keep it short for drums, longer where it clicks.</source>
        <translation>Wie schnell das Gate öffnet. Kurz für Schlagzeug, länger, wo es klickt.</translation>
    </message>
    <message>
        <source>How long it stays open at least. Raise it when the gate flutters.</source>
        <translation>Wie lange es mindestens offen bleibt. Erhöhen, wenn das Gate flattert.</translation>
    </message>
    <message>
        <source>How fast it closes. Let it be as long as the sound rings.</source>
        <translation>Wie schnell es schließt. So lang, wie der Klang nachklingt.</translation>
    </message>
    <message>
        <source>How the sound is bent: tanh is soft, asymmetric is warmer, clip is hardest. Listen with the gain matched.</source>
        <translation>Wie der Klang gebogen wird: tanh ist weich, asymmetrisch wärmer, Clip am härtesten. Bei gleicher Lautheit vergleichen.</translation>
    </message>
    <message>
        <source>How hard the sound is driven. Raise it until it is heard, then lower it a little.</source>
        <translation>Wie stark der Klang angetrieben wird. Erhöhen, bis man es hört, dann etwas zurück.</translation>
    </message>
    <message>
        <source>The level that the curve does not exceed. On a main output −1 dBFS is a safe soft clip.</source>
        <translation>Der Pegel, den die Kurve nicht überschreitet. Auf der Summe sind −1 dBFS ein sicherer Soft Clip.</translation>
    </message>
    <message>
        <source>Tilts the sound before the curve towards highs or lows. Raise it to saturate the highs more.</source>
        <translation>Neigt den Klang vor der Kurve zu Höhen oder Tiefen. Erhöhen, um Höhen mehr zu sättigen.</translation>
    </message>
    <message>
        <source>Lowers the output by as much as the drive raised it. Keep it on to judge the colour, not the level.</source>
        <translation>Senkt den Ausgang um so viel, wie der Drive ihn hob. Anlassen, um die Farbe zu beurteilen statt den Pegel.</translation>
    </message>
    <message>
        <source>Only what lies above it is saturated. Raise it to keep the lowest notes clean.</source>
        <translation>Nur was darüber liegt, wird gesättigt. Erhöhen, damit die tiefsten Töne sauber bleiben.</translation>
    </message>
    <message>
        <source>Only what lies below it is saturated. Lower it to keep cymbals and air clean.</source>
        <translation>Nur was darunter liegt, wird gesättigt. Senken, damit Becken und Luft sauber bleiben.</translation>
    </message>
    <message>
        <source>Raises or lowers the beginning of each hit. A few dB bring a drum forward without making it louder.</source>
        <translation>Hebt oder senkt den Anfang jedes Schlags. Ein paar dB holen eine Trommel nach vorn, ohne sie lauter zu machen.</translation>
    </message>
    <message>
        <source>Raises or lowers what rings after each hit. Lower it to dry a room, raise it to lengthen a drum.</source>
        <translation>Hebt oder senkt, was nach jedem Schlag klingt. Senken für weniger Raum, erhöhen für eine längere Trommel.</translation>
    </message>
    <message>
        <source>The true peak that is never exceeded. −1 dBTP leaves room for lossy files.</source>
        <translation>Der True Peak, der nie überschritten wird. −1 dBTP lässt Platz für verlustbehaftete Dateien.</translation>
    </message>
    <message>
        <source>How fast it recovers after a peak. Longer is cleaner, shorter is louder.</source>
        <translation>Wie schnell er sich nach einer Spitze erholt. Länger ist sauberer, kürzer lauter.</translation>
    </message>
    <message>
        <source>Chorus thickens, flanger and phaser sweep. Chorus is the gentlest one.</source>
        <translation>Chorus verdichtet, Flanger und Phaser wandern. Am sanftesten ist der Chorus.</translation>
    </message>
    <message>
        <source>How fast it moves. Slow movements are less noticeable; a note value follows the tempo.</source>
        <translation>Wie schnell es sich bewegt. Langsames fällt weniger auf; ein Notenwert folgt dem Tempo.</translation>
    </message>
    <message>
        <source>How far it moves. Lower it when the pitch seems to waver.</source>
        <translation>Wie weit es sich bewegt. Senken, wenn die Tonhöhe zu schwanken scheint.</translation>
    </message>
    <message>
        <source>How much of the result goes in again. Raise it for a sharper sweep.</source>
        <translation>Wie viel vom Ergebnis wieder hineingeht. Erhöhen für eine schärfere Bewegung.</translation>
    </message>
    <message>
        <source>How much left and right move apart. Raise it for width, keep it low for a sound that must stay in mono.</source>
        <translation>Wie weit links und rechts sich voneinander bewegen. Erhöhen für Breite, niedrig für das, was in Mono bleiben muss.</translation>
    </message>
    <message>
        <source>Time until the echo on the left. A note value follows the tempo: 1/8, 1/8. or 1/8t.</source>
        <translation>Zeit bis zum Echo links. Ein Notenwert folgt dem Tempo: 1/8, 1/8. oder 1/8t.</translation>
    </message>
    <message>
        <source>Time until the echo on the right. A little more than the left makes the echo wide.</source>
        <translation>Zeit bis zum Echo rechts. Etwas mehr als links macht das Echo breit.</translation>
    </message>
    <message>
        <source>How much of an echo is repeated. 20 to 40 % gives a few repeats.</source>
        <translation>Wie viel vom Echo sich wiederholt. 20 bis 40 % geben ein paar Wiederholungen.</translation>
    </message>
    <message>
        <source>Echoes change from side to side. Use it for a single word or a short part.</source>
        <translation>Echos wechseln die Seite. Für ein einzelnes Wort oder eine kurze Stelle.</translation>
    </message>
    <message>
        <source>How far the time of the echo wavers. A little makes repeats softer.</source>
        <translation>Wie weit die Zeit des Echos schwankt. Etwas davon macht Wiederholungen weicher.</translation>
    </message>
    <message>
        <source>How fast the time of the echo wavers. Keep it below 1 Hz.</source>
        <translation>Wie schnell die Zeit des Echos schwankt. Unter 1 Hz halten.</translation>
    </message>
    <message>
        <source>Removes lows from the echo or the room. 150 to 300 Hz keeps a mix clear.</source>
        <translation>Nimmt dem Echo oder Raum die Tiefen. 150 bis 300 Hz halten eine Mischung klar.</translation>
    </message>
    <message>
        <source>Removes highs from the echo or the room. Lower it to move the effect further back.</source>
        <translation>Nimmt dem Echo oder Raum die Höhen. Senken, um den Effekt nach hinten zu rücken.</translation>
    </message>
    <message>
        <source>How far the echo is turned down while the sidechain source plays. 6 dB keeps words clear.</source>
        <translation>Wie weit das Echo leiser wird, während die Sidechain-Quelle spielt. 6 dB halten Worte klar.</translation>
    </message>
    <message>
        <source>From which level of the sidechain source on the echo is turned down. Lower it when nothing happens.</source>
        <translation>Ab welchem Pegel der Sidechain-Quelle das Echo leiser wird. Senken, wenn nichts geschieht.</translation>
    </message>
    <message>
        <source>How long the room rings, until it is 60 dB lower. 0.5 s for drums, 1 to 2 s for voices.</source>
        <translation>Wie lange der Raum klingt, bis er 60 dB leiser ist. 0,5 s für Schlagzeug, 1 bis 2 s für Stimmen.</translation>
    </message>
    <message>
        <source>How long lows ring against the middle. Below 1 keeps a mix clear.</source>
        <translation>Wie lange Tiefen gegen die Mitten klingen. Unter 1 hält eine Mischung klar.</translation>
    </message>
    <message>
        <source>How long highs ring against the middle. Lower is a darker room.</source>
        <translation>Wie lange Höhen gegen die Mitten klingen. Weniger ist ein dunklerer Raum.</translation>
    </message>
    <message>
        <source>Time before the room begins. 20 to 40 ms keeps a voice in front of its room.</source>
        <translation>Zeit, bevor der Raum beginnt. 20 bis 40 ms halten eine Stimme vor ihrem Raum.</translation>
    </message>
    <message>
        <source>How large the room is. Larger rooms have later and sparser reflections.</source>
        <translation>Wie groß der Raum ist. Größere haben spätere und weniger Reflexionen.</translation>
    </message>
    <message>
        <source>How loud the first reflections are. They tell how near a sound is.</source>
        <translation>Wie laut die ersten Reflexionen sind. Sie sagen, wie nah ein Klang ist.</translation>
    </message>
    <message>
        <source>Below it the sound is mono. 100 to 150 Hz keeps the low end firm in the centre.</source>
        <translation>Darunter ist der Klang mono. 100 bis 150 Hz halten die Tiefen fest in der Mitte.</translation>
    </message>
    <message>
        <source>How wide the sides are: 0 % is mono, 100 % as it is. Lower it when too much is lost in mono.</source>
        <translation>Wie breit die Seiten sind: 0 % ist mono, 100 % wie es ist. Senken, wenn in Mono zu viel verloren geht.</translation>
    </message>
    <message>
        <source>There is no other track to duck. Add the second track first.</source>
        <translation>Es gibt keine andere Spur zum Ducken. Füge zuerst die zweite Spur hinzu.</translation>
    </message>
    <message>
        <source>Ducker, by level</source>
        <translation>Ducker, nach Pegel</translation>
    </message>
    <message>
        <source>Ride, drawn at the hits</source>
        <translation>Automation, an den Schlägen gezeichnet</translation>
    </message>
    <message>
        <source>duck %1</source>
        <translation>%1 ducken</translation>
    </message>
    <message>
        <source>under</source>
        <translation>unter</translation>
    </message>
    <message>
        <source>with</source>
        <translation>mit</translation>
    </message>
    <message>
        <source>depth, %1</source>
        <translation>Tiefe, %1</translation>
    </message>
    <message>
        <source>before the hit, ms (ride only)</source>
        <translation>vor dem Schlag, ms (nur Automation)</translation>
    </message>
    <message>
        <source>release, ms</source>
        <translation>Release, ms</translation>
    </message>
    <message>
        <source>Duck under %1</source>
        <translation>Unter %1 ducken</translation>
    </message>
    <message>
        <source>Isotonus met an error of its own: %1. Unsaved work is kept; restart the program to continue.</source>
        <translation>In Isotonus ist ein Fehler aufgetreten: %1. Ungespeicherte Arbeit ist gesichert; starte das Programm neu.</translation>
    </message>
    <message>
        <source>no session was kept with this print, because an older version made it or the file is gone. Choose another print.</source>
        <translation>zu diesem Zwischenstand wurde keine Sitzung behalten, weil eine ältere Version ihn gemacht hat oder die Datei fehlt. Wähle einen anderen Zwischenstand.</translation>
    </message>
    <message>
        <source>another program changed the file. Open the file again, or save under another name.</source>
        <translation>ein anderes Programm hat die Datei geändert. Öffne sie noch einmal oder speichere unter anderem Namen.</translation>
    </message>
    <message>
        <source>the changed file cannot be opened. Save your session under another name.</source>
        <translation>die geänderte Datei kann nicht geöffnet werden. Speichere deine Sitzung unter anderem Namen.</translation>
    </message>
    <message>
        <source>not a WAV file, or damaged at its start. Export it again as WAV.</source>
        <translation>keine WAV-Datei, oder am Anfang beschädigt. Exportiere sie noch einmal als WAV.</translation>
    </message>
    <message>
        <source>the header announces {} bytes, the file has {}. Copy or export the file again.</source>
        <translation>laut Kopf hat die Datei {} Bytes, es sind {}. Kopiere oder exportiere sie noch einmal.</translation>
    </message>
    <message>
        <source>the header gives a wrong length of the audio. Export the file again.</source>
        <translation>der Kopf nennt eine falsche Länge der Audiodaten. Exportiere die Datei noch einmal.</translation>
    </message>
    <message>
        <source>the file has no samples. Export it again.</source>
        <translation>die Datei enthält keine Samples. Exportiere sie noch einmal.</translation>
    </message>
    <message>
        <source>not an AIFF file, or damaged at its start. Export it again.</source>
        <translation>keine AIFF-Datei, oder am Anfang beschädigt. Exportiere sie noch einmal.</translation>
    </message>
    <message>
        <source>not a FLAC file, or damaged at its start. Export it again.</source>
        <translation>keine FLAC-Datei, oder am Anfang beschädigt. Exportiere sie noch einmal.</translation>
    </message>
    <message>
        <source>the header gives no length. Export the file again.</source>
        <translation>der Kopf nennt keine Länge. Exportiere die Datei noch einmal.</translation>
    </message>
    <message>
        <source>not an Ogg file, or damaged at its start. Export it again.</source>
        <translation>keine Ogg-Datei, oder am Anfang beschädigt. Exportiere sie noch einmal.</translation>
    </message>
    <message>
        <source>the end of the file is missing. Copy or export it again.</source>
        <translation>das Ende der Datei fehlt. Kopiere oder exportiere sie noch einmal.</translation>
    </message>
    <message>
        <source>the last page of the file is incomplete. Copy or export it again.</source>
        <translation>die letzte Seite der Datei ist unvollständig. Kopiere oder exportiere sie noch einmal.</translation>
    </message>
    <message>
        <source>not an MP3 file, or damaged at its start. Export it again.</source>
        <translation>keine MP3-Datei, oder am Anfang beschädigt. Exportiere sie noch einmal.</translation>
    </message>
    <message>
        <source>converting needs {} MB of free space, and the disk has {} MB. Free some space.</source>
        <translation>das Umwandeln braucht {} MB freien Platz, und der Datenträger hat {} MB. Schaffe Platz.</translation>
    </message>
    <message>
        <source>the file changed while it was read. Read the file again.</source>
        <translation>die Datei wurde beim Lesen geändert. Lies sie neu ein.</translation>
    </message>
    <message>
        <source>the sample rate cannot be converted: {}. Export the file at the session&apos;s rate.</source>
        <translation>die Samplerate kann nicht umgewandelt werden: {}. Exportiere die Datei mit der Rate der Sitzung.</translation>
    </message>
    <message>
        <source>the file is empty. Export it again.</source>
        <translation>die Datei ist leer. Exportiere sie noch einmal.</translation>
    </message>
    <message>
        <source>the file cannot be read: {}. Check the disk.</source>
        <translation>die Datei kann nicht gelesen werden: {}. Prüfe den Datenträger.</translation>
    </message>
    <message>
        <source>the audio file cannot be read ({}). Export it again as WAV, AIFF or FLAC.</source>
        <translation>die Audiodatei kann nicht gelesen werden ({}). Exportiere sie noch einmal als WAV, AIFF oder FLAC.</translation>
    </message>
    <message>
        <source>the file has {} channels; at most {} can be used. Export fewer channels.</source>
        <translation>die Datei hat {} Kanäle; höchstens {} sind nutzbar. Exportiere weniger Kanäle.</translation>
    </message>
    <message>
        <source>the file has no audio. Export it again.</source>
        <translation>die Datei enthält kein Audio. Exportiere sie noch einmal.</translation>
    </message>
    <message>
        <source>a sample rate of {} Hz cannot be used. Export the file at 44.1, 48 or 96 kHz.</source>
        <translation>eine Samplerate von {} Hz ist nicht nutzbar. Exportiere die Datei mit 44,1, 48 oder 96 kHz.</translation>
    </message>
    <message>
        <source>frame {} of the file cannot be reached. Copy or export the file again.</source>
        <translation>Frame {} der Datei ist nicht erreichbar. Kopiere oder exportiere die Datei noch einmal.</translation>
    </message>
    <message>
        <source>reading stopped at frame {} of {}. Copy or export the file again.</source>
        <translation>das Lesen brach bei Frame {} von {} ab. Kopiere oder exportiere die Datei noch einmal.</translation>
    </message>
    <message>
        <source>FLAC holds 16 or 24 bit, but no floating point. Choose another format.</source>
        <translation>FLAC fasst 16 oder 24 Bit, aber kein Gleitkomma. Wähle ein anderes Format.</translation>
    </message>
    <message>
        <source>a {} file cannot hold {} channels at {} Hz. Choose another format or rate.</source>
        <translation>eine {}-Datei kann {} Kanäle bei {} Hz nicht fassen. Wähle ein anderes Format oder eine andere Rate.</translation>
    </message>
    <message>
        <source>the file cannot be written: {}. Check the folder and the disk.</source>
        <translation>die Datei kann nicht geschrieben werden: {}. Prüfe Ordner und Datenträger.</translation>
    </message>
    <message>
        <source>this file type cannot hold the audio. Choose another type.</source>
        <translation>dieser Dateityp kann das Audio nicht aufnehmen. Wähle einen anderen.</translation>
    </message>
    <message>
        <source>the left and the right file must be mono or stereo. Choose other files.</source>
        <translation>die linke und die rechte Datei müssen mono oder stereo sein. Wähle andere Dateien.</translation>
    </message>
    <message>
        <source>the session uses channel {}, the file has {}. Choose other channels in the menu of the track&apos;s name.</source>
        <translation>die Sitzung nutzt Kanal {}, die Datei hat {}. Wähle andere Kanäle im Menü des Spurnamens.</translation>
    </message>
    <message>
        <source>the file changed while it was in use. Read the file again.</source>
        <translation>die Datei wurde während der Benutzung geändert. Lies sie neu ein.</translation>
    </message>
    <message>
        <source>the file changed after it was measured. Try again.</source>
        <translation>die Datei wurde nach dem Messen geändert. Versuche es noch einmal.</translation>
    </message>
    <message>
        <source>The track is silent, or not read yet: it stays as it is.</source>
        <translation>Die Spur ist still oder noch nicht gelesen: Sie bleibt, wie sie ist.</translation>
    </message>
    <message>
        <source>Heard to {} % when quiet, beside {}; its role needs {} %.</source>
        <translation>Leise zu {} % hörbar, neben {}; die Rolle braucht {} %.</translation>
    </message>
    <message>
        <source>The rough mix is mono: it gives levels but no pans.</source>
        <translation>Der Rohmix ist mono: Er liefert Pegel, aber kein Panorama.</translation>
    </message>
    <message>
        <source>The rough mix clips {}×: the peaks of drums may be found too low.</source>
        <translation>Der Rohmix ist {}× übersteuert: Spitzen von Schlagzeug werden vielleicht zu leise gefunden.</translation>
    </message>
    <message>
        <source>The rough mix covers the song from {:.1f} to {:.1f} s: the rest of the song is not in it.</source>
        <translation>Der Rohmix enthält den Song von {:.1f} bis {:.1f} s: Der Rest des Songs fehlt darin.</translation>
    </message>
    <message>
        <source>the rough mix is silent. Choose the export of the whole song.</source>
        <translation>der Rohmix ist still. Wähle den Export des ganzen Songs.</translation>
    </message>
    <message>
        <source>the session has no tracks to compare with the rough mix. Add the tracks first.</source>
        <translation>die Sitzung hat keine Spuren zum Vergleichen. Füge zuerst die Spuren hinzu.</translation>
    </message>
    <message>
        <source>the session has {} tracks, and at most {} can be found in a rough mix. Remove some, or export groups of them as one file.</source>
        <translation>die Sitzung hat {} Spuren, und höchstens {} lassen sich in einem Rohmix finden. Entferne einige oder exportiere Gruppen davon als eine Datei.</translation>
    </message>
    <message>
        <source>the rough mix is of another song or another version: the tracks explain too little of it. Choose a mix of these files.</source>
        <translation>der Rohmix ist von einem anderen Song oder einer anderen Fassung: Die Spuren erklären zu wenig davon. Wähle einen Mix dieser Dateien.</translation>
    </message>
    <message>
        <source>the rough mix has {:.0f} s of the song, and {:.0f} s are needed. Choose a longer one.</source>
        <translation>der Rohmix enthält {:.0f} s des Songs, nötig sind {:.0f} s. Wähle einen längeren.</translation>
    </message>
    <message>
        <source>The track is silent in the part of the song that the rough mix covers: it stays as it is.</source>
        <translation>Die Spur ist in dem Teil des Songs still, den der Rohmix enthält: Sie bleibt, wie sie ist.</translation>
    </message>
    <message>
        <source>The rough mix does not contain this track: its fader goes all the way down.</source>
        <translation>Der Rohmix enthält diese Spur nicht: Ihr Fader geht ganz nach unten.</translation>
    </message>
    <message>
        <source>Found only as a sum with {}: the tracks are too alike to be told apart, and are kept at one level.</source>
        <translation>Nur in der Summe mit {} gefunden: Die Spuren sind einander zu ähnlich und werden gleich laut gehalten.</translation>
    </message>
    <message>
        <source>The track alone explains {:.1f} % of the mix; its level stays within {:.1f} dB over the song.</source>
        <translation>Die Spur allein erklärt {:.1f} % des Mixes; ihr Pegel bleibt im Song innerhalb von {:.1f} dB.</translation>
    </message>
    <message>
        <source>The track is louder by {:.1f} dB in {}.</source>
        <translation>Die Spur ist um {:.1f} dB lauter in {}.</translation>
    </message>
    <message>
        <source>The track is softer by {:.1f} dB in {}.</source>
        <translation>Die Spur ist um {:.1f} dB leiser in {}.</translation>
    </message>
    <message>
        <source>The track sounds different in the mix: an effect or an equaliser was on it.</source>
        <translation>Die Spur klingt im Mix anders: Sie hatte dort einen Effekt oder einen Equalizer.</translation>
    </message>
    <message>
        <source>the cache is too small for this file. Raise its size in the settings.</source>
        <translation>der Zwischenspeicher ist zu klein für diese Datei. Erhöhe seine Größe in den Einstellungen.</translation>
    </message>
    <message>
        <source>the file does not exist. Check its name.</source>
        <translation>die Datei gibt es nicht. Prüfe ihren Namen.</translation>
    </message>
    <message>
        <source>the file cannot be opened: {}. Check its permissions.</source>
        <translation>die Datei kann nicht geöffnet werden: {}. Prüfe ihre Zugriffsrechte.</translation>
    </message>
    <message>
        <source>the file cannot be locked: {}. Check its permissions.</source>
        <translation>die Datei kann nicht gesperrt werden: {}. Prüfe ihre Zugriffsrechte.</translation>
    </message>
    <message>
        <source>another program is changing the file. Wait a moment and try again.</source>
        <translation>ein anderes Programm ändert die Datei gerade. Warte einen Moment und versuche es noch einmal.</translation>
    </message>
    <message>
        <source>the file cannot be read. Check its permissions and the disk.</source>
        <translation>die Datei kann nicht gelesen werden. Prüfe ihre Zugriffsrechte und den Datenträger.</translation>
    </message>
    <message>
        <source>the folder cannot be read: {}. Check its permissions.</source>
        <translation>der Ordner kann nicht gelesen werden: {}. Prüfe seine Zugriffsrechte.</translation>
    </message>
    <message>
        <source>a file has the name of the folder. Choose another folder.</source>
        <translation>eine Datei trägt den Namen des Ordners. Wähle einen anderen Ordner.</translation>
    </message>
    <message>
        <source>the folder cannot be made: {}. Choose another folder.</source>
        <translation>der Ordner kann nicht angelegt werden: {}. Wähle einen anderen Ordner.</translation>
    </message>
    <message>
        <source>no permission to read the file. Change its permissions.</source>
        <translation>keine Erlaubnis, die Datei zu lesen. Ändere ihre Zugriffsrechte.</translation>
    </message>
    <message>
        <source>this is a folder. Choose a file.</source>
        <translation>das ist ein Ordner. Wähle eine Datei.</translation>
    </message>
    <message>
        <source>this is not a regular file. Choose a file.</source>
        <translation>das ist keine gewöhnliche Datei. Wähle eine Datei.</translation>
    </message>
    <message>
        <source>the file is too large: at most {} bytes can be read. Choose a smaller file.</source>
        <translation>die Datei ist zu groß: höchstens {} Bytes können gelesen werden. Wähle eine kleinere Datei.</translation>
    </message>
    <message>
        <source>the file has no name. Type one.</source>
        <translation>die Datei hat keinen Namen. Gib einen ein.</translation>
    </message>
    <message>
        <source>the name is too long: a file name has at most 255 bytes. Choose a shorter name.</source>
        <translation>der Name ist zu lang: ein Dateiname hat höchstens 255 Bytes. Wähle einen kürzeren Namen.</translation>
    </message>
    <message>
        <source>the link points to a file that does not exist. Choose another name.</source>
        <translation>die Verknüpfung zeigt auf eine Datei, die es nicht gibt. Wähle einen anderen Namen.</translation>
    </message>
    <message>
        <source>a folder has this name. Choose another name.</source>
        <translation>ein Ordner trägt diesen Namen. Wähle einen anderen Namen.</translation>
    </message>
    <message>
        <source>this is not a regular file and is never replaced. Choose another name.</source>
        <translation>das ist keine gewöhnliche Datei und wird nie ersetzt. Wähle einen anderen Namen.</translation>
    </message>
    <message>
        <source>the file is read-only. Choose another name, or allow writing to the file.</source>
        <translation>die Datei ist schreibgeschützt. Wähle einen anderen Namen oder erlaube das Schreiben.</translation>
    </message>
    <message>
        <source>the folder of the file does not exist. Choose another folder, or make it first.</source>
        <translation>den Ordner der Datei gibt es nicht. Wähle einen anderen oder lege ihn zuerst an.</translation>
    </message>
    <message>
        <source>the finished file cannot be renamed: {}. Check the folder and try again.</source>
        <translation>die fertige Datei kann nicht umbenannt werden: {}. Prüfe den Ordner und versuche es noch einmal.</translation>
    </message>
    <message>
        <source>the finished file cannot be renamed: {}. These files are new and complete, and could not be restored to what they were: {}. Check the folder.</source>
        <translation>die fertige Datei kann nicht umbenannt werden: {}. Diese Dateien sind neu und vollständig und ließen sich nicht wiederherstellen: {}. Prüfe den Ordner.</translation>
    </message>
    <message>
        <source>this is {}, which is never replaced. Choose another name.</source>
        <translation>das ist {}; sie wird nie ersetzt. Wähle einen anderen Namen.</translation>
    </message>
    <message>
        <source>the folder cannot be written: {}. Check its permissions and the disk.</source>
        <translation>in den Ordner kann nicht geschrieben werden: {}. Prüfe Zugriffsrechte und Datenträger.</translation>
    </message>
    <message>
        <source>the plug-in host is missing. Install the package again.</source>
        <translation>der Plug-in-Host fehlt. Installiere das Paket neu.</translation>
    </message>
    <message>
        <source>the memory is too small for another plug-in. Close other programs.</source>
        <translation>der Speicher reicht nicht für ein weiteres Plug-in. Schließe andere Programme.</translation>
    </message>
    <message>
        <source>the plug-in host cannot be started: {}. Install the package again.</source>
        <translation>der Plug-in-Host kann nicht gestartet werden: {}. Installiere das Paket neu.</translation>
    </message>
    <message>
        <source>this system does not let the plug-in host give up its rights. Update the kernel to use plug-ins.</source>
        <translation>dieses System lässt den Plug-in-Host seine Rechte nicht abgeben. Aktualisiere den Kernel, um Plug-ins zu nutzen.</translation>
    </message>
    <message>
        <source>the plug-in crashed ({})</source>
        <translation>das Plug-in ist abgestürzt ({})</translation>
    </message>
    <message>
        <source>the plug-in ended by itself</source>
        <translation>das Plug-in hat sich selbst beendet</translation>
    </message>
    <message>
        <source>the plug-in has ended</source>
        <translation>das Plug-in ist beendet</translation>
    </message>
    <message>
        <source>the plug-in did not answer in time ({} s)</source>
        <translation>das Plug-in hat nicht rechtzeitig geantwortet ({} s)</translation>
    </message>
    <message>
        <source>the plug-in has too many parameters</source>
        <translation>das Plug-in hat zu viele Parameter</translation>
    </message>
    <message>
        <source>the plug-in reports an impossible latency</source>
        <translation>das Plug-in meldet eine unmögliche Latenz</translation>
    </message>
    <message>
        <source>the plug-in changes its latency while it runs</source>
        <translation>das Plug-in ändert seine Latenz, während es läuft</translation>
    </message>
    <message>
        <source>the output of the plug-in has corrupt samples (NaN)</source>
        <translation>der Ausgang des Plug-ins enthält fehlerhafte Samples (NaN)</translation>
    </message>
    <message>
        <source>the plug-in crashed</source>
        <translation>das Plug-in ist abgestürzt</translation>
    </message>
    <message>
        <source>the plug-in did not answer in time</source>
        <translation>das Plug-in hat nicht rechtzeitig geantwortet</translation>
    </message>
    <message>
        <source>the plug-in needs a feature that Isotonus does not have</source>
        <translation>das Plug-in braucht eine Funktion, die Isotonus nicht hat</translation>
    </message>
    <message>
        <source>the plug-in host cannot be started. Install the package again.</source>
        <translation>der Plug-in-Host kann nicht gestartet werden. Installiere das Paket neu.</translation>
    </message>
    <message>
        <source>the plug-in ended its host</source>
        <translation>das Plug-in hat seinen Host beendet</translation>
    </message>
    <message>
        <source>the plug-in did not answer in time ({:g} s)</source>
        <translation>das Plug-in hat nicht rechtzeitig geantwortet ({:g} s)</translation>
    </message>
    <message>
        <source>the plug-in host failed: {}. Install the package again.</source>
        <translation>der Plug-in-Host ist gescheitert: {}. Installiere das Paket neu.</translation>
    </message>
    <message>
        <source>the plug-in is in {} and was never checked; search for plug-ins to allow it</source>
        <translation>das Plug-in liegt in {} und wurde nie geprüft; suche nach Plug-ins, um es zu erlauben</translation>
    </message>
    <message>
        <source>corrupt samples</source>
        <translation>fehlerhafte Samples</translation>
    </message>
    <message>
        <source>sidechain sources</source>
        <translation>Sidechain-Quellen</translation>
    </message>
    <message>
        <source>the mix peaks at {} dBFS, at {}: {:.1f} dB of headroom, at least {:g} dB requested</source>
        <translation>der Spitzenpegel des Mixes ist {} dBFS, bei {}: {:.1f} dB Headroom, verlangt sind mindestens {:g} dB</translation>
    </message>
    <message>
        <source>Mastering needs headroom for its processors.</source>
        <translation>Mastering braucht Headroom für seine Prozessoren.</translation>
    </message>
    <message>
        <source>Without these tracks the peak would be lower by this much.</source>
        <translation>Ohne diese Spuren wäre die Spitze um so viel niedriger.</translation>
    </message>
    <message>
        <source>the mix peaks at only {:.1f} dBFS; at least {:g} is expected</source>
        <translation>der Spitzenpegel des Mixes ist nur {:.1f} dBFS; erwartet sind mindestens {:g}</translation>
    </message>
    <message>
        <source>A mix far below full scale wastes resolution. Turn the main fader up.</source>
        <translation>Ein Mix weit unter Vollaussteuerung verschenkt Auflösung. Zieh den Summenfader hoch.</translation>
    </message>
    <message>
        <source>The wave between samples can exceed the highest sample and clip a converter.</source>
        <translation>Die Welle zwischen den Samples kann das höchste Sample übersteigen und einen Wandler übersteuern.</translation>
    </message>
    <message>
        <source>the mix clips {}×</source>
        <translation>der Mix übersteuert {}×</translation>
    </message>
    <message>
        <source>the mix exceeds full scale and reaches {:+.1f} dBFS</source>
        <translation>der Mix überschreitet die Vollaussteuerung und erreicht {:+.1f} dBFS</translation>
    </message>
    <message>
        <source>Clipping in an exported file cannot be undone. Turn the main fader down before export.</source>
        <translation>Übersteuerung in einer exportierten Datei ist nicht rückgängig zu machen. Nimm den Summenfader vor dem Export zurück.</translation>
    </message>
    <message>
        <source>A DC offset takes headroom from one side of the wave and clicks at cuts.</source>
        <translation>Ein DC-Versatz nimmt einer Seite der Welle Headroom und knackt an Schnitten.</translation>
    </message>
    <message>
        <source>the loudness of the mix is {:.1f} LUFS</source>
        <translation>die Lautheit des Mixes ist {:.1f} LUFS</translation>
    </message>
    <message>
        <source>the loudness of the mix is {:.1f} LUFS: quieter than the songs around it will be</source>
        <translation>die Lautheit des Mixes ist {:.1f} LUFS: leiser als die Songs, die um ihn laufen</translation>
    </message>
    <message>
        <source>the loudness of the mix is {:.1f} LUFS: louder than the songs around it will be</source>
        <translation>die Lautheit des Mixes ist {:.1f} LUFS: lauter als die Songs, die um ihn laufen</translation>
    </message>
    <message>
        <source>Streaming services turn loud songs down; quiet songs stay quiet.</source>
        <translation>Streamingdienste regeln laute Songs herunter; leise bleiben leise.</translation>
    </message>
    <message>
        <source>the mix loses {:.1f} dB in mono</source>
        <translation>der Mix verliert in Mono {:.1f} dB</translation>
    </message>
    <message>
        <source>Phones, clubs and small radios play in mono.</source>
        <translation>Telefone, Clubs und kleine Radios spielen mono.</translation>
    </message>
    <message>
        <source>the mix starts to sound at {}</source>
        <translation>der Mix beginnt bei {} zu klingen</translation>
    </message>
    <message>
        <source>Silence before the song is usually left by accident.</source>
        <translation>Stille vor dem Song ist meist aus Versehen geblieben.</translation>
    </message>
    <message>
        <source>Silence after the song is usually left by accident.</source>
        <translation>Stille nach dem Song ist meist aus Versehen geblieben.</translation>
    </message>
    <message>
        <source>the mix has faded to silence at its end</source>
        <translation>der Mix ist am Ende verklungen</translation>
    </message>
    <message>
        <source>A tail that is cut off sounds like a mistake and cannot be added later.</source>
        <translation>Ein abgeschnittener Ausklang klingt wie ein Fehler und lässt sich später nicht ergänzen.</translation>
    </message>
    <message>
        <source>The mix does not contain missing files.</source>
        <translation>Fehlende Dateien sind nicht im Mix.</translation>
    </message>
    <message>
        <source>Exports ignore solo: the exported mix differs from what you hear.</source>
        <translation>Exporte beachten Solo nicht: Der exportierte Mix ist anders als das, was du hörst.</translation>
    </message>
    <message>
        <source>A forgotten mute loses a part of the song.</source>
        <translation>Mit einer vergessenen Stummschaltung fehlt ein Teil des Songs.</translation>
    </message>
    <message>
        <source>not heard (fader off, or bus muted)</source>
        <translation>nicht zu hören (Fader zu oder Bus stumm)</translation>
    </message>
    <message>
        <source>A track that is on but not heard is usually a mistake.</source>
        <translation>Eine Spur, die an, aber nicht zu hören ist, ist meist ein Versehen.</translation>
    </message>
    <message>
        <source>clipped in the recording</source>
        <translation>in der Aufnahme übersteuert</translation>
    </message>
    <message>
        <source>Recorded clipping distorts at any level in the mix.</source>
        <translation>Übersteuerung in der Aufnahme verzerrt bei jedem Pegel im Mix.</translation>
    </message>
    <message>
        <source>A DC offset takes headroom and clicks at cuts.</source>
        <translation>Ein DC-Versatz nimmt Headroom und knackt an Schnitten.</translation>
    </message>
    <message>
        <source>corrupt samples (NaN, played as silence)</source>
        <translation>fehlerhafte Samples (NaN, als Stille gespielt)</translation>
    </message>
    <message>
        <source>no file has corrupt samples</source>
        <translation>keine Datei hat fehlerhafte Samples</translation>
    </message>
    <message>
        <source>The program that wrote the file failed. Export the file again.</source>
        <translation>Das Programm, das die Datei schrieb, hat versagt. Exportiere die Datei noch einmal.</translation>
    </message>
    <message>
        <source>files at another rate (converted)</source>
        <translation>Dateien mit anderer Rate (umgewandelt)</translation>
    </message>
    <message>
        <source>Each conversion is an extra step. Keep it only if you want it.</source>
        <translation>Jede Umwandlung ist ein Schritt mehr. Lass sie nur, wenn du sie willst.</translation>
    </message>
    <message>
        <source>no file has a higher rate than the session</source>
        <translation>keine Datei hat eine höhere Rate als die Sitzung</translation>
    </message>
    <message>
        <source>Frequencies above half the session&apos;s rate are lost.</source>
        <translation>Frequenzen über der halben Rate der Sitzung gehen verloren.</translation>
    </message>
    <message>
        <source>rides at the end of the control&apos;s range</source>
        <translation>Automation am Ende des Regelbereichs</translation>
    </message>
    <message>
        <source>no ride reaches the end of the control&apos;s range</source>
        <translation>keine Automation erreicht das Ende des Regelbereichs</translation>
    </message>
    <message>
        <source>The control cannot go further. Let the fader or the trim do the rest.</source>
        <translation>Der Regler kann nicht weiter. Den Rest übernehmen Fader oder Trim.</translation>
    </message>
    <message>
        <source>no finding is still open</source>
        <translation>kein Befund ist noch offen</translation>
    </message>
    <message>
        <source>Faults found in Gather are heard in the mix too.</source>
        <translation>Fehler, die unter Sammeln stehen, sind auch im Mix zu hören.</translation>
    </message>
    <message>
        <source>{} (clips {}×)</source>
        <translation>{} ({}× übersteuert)</translation>
    </message>
    <message>
        <source>{} (up to {:.1f} dB, {:.0f} s above {:g})</source>
        <translation>{} (bis {:.1f} dB, {:.0f} s über {:g})</translation>
    </message>
    <message>
        <source>deep reduction for long</source>
        <translation>lange tiefe Reduktion</translation>
    </message>
    <message>
        <source>Reduction this deep is heard as pumping. Two gentle steps do the same.</source>
        <translation>So tiefe Reduktion ist als Pumpen zu hören. Zwei sanfte Schritte tun dasselbe.</translation>
    </message>
    <message>
        <source>The processor passes its input through: the export lacks its effect.</source>
        <translation>Der Prozessor lässt sein Eingangssignal durch: Dem Export fehlt seine Wirkung.</translation>
    </message>
    <message>
        <source>above full scale inside a chain</source>
        <translation>in einer Kette über Vollaussteuerung</translation>
    </message>
    <message>
        <source>no chain exceeds full scale inside</source>
        <translation>keine Kette überschreitet innen die Vollaussteuerung</translation>
    </message>
    <message>
        <source>The chain does not clip here. A saturation or a program that rebuilds the chain will.</source>
        <translation>Die Kette übersteuert hier nicht. Eine Sättigung oder ein Programm, das die Kette nachbaut, schon.</translation>
    </message>
    <message>
        <source>sidechain source missing</source>
        <translation>Sidechain-Quelle fehlt</translation>
    </message>
    <message>
        <source>every sidechain source exists</source>
        <translation>jede Sidechain-Quelle ist da</translation>
    </message>
    <message>
        <source>A processor without its sidechain source hears silence and does nothing.</source>
        <translation>Ein Prozessor ohne seine Sidechain-Quelle hört Stille und tut nichts.</translation>
    </message>
    <message>
        <source>all chains are bypassed</source>
        <translation>alle Ketten sind umgangen</translation>
    </message>
    <message>
        <source>Bypass is for comparing; the export contains none of these chains.</source>
        <translation>Bypass ist zum Vergleichen; der Export enthält keine dieser Ketten.</translation>
    </message>
    <message>
        <source>bypassed chains</source>
        <translation>umgangene Ketten</translation>
    </message>
    <message>
        <source>no chain is bypassed</source>
        <translation>keine Kette ist umgangen</translation>
    </message>
    <message>
        <source>The export would be silent.</source>
        <translation>Der Export wäre still.</translation>
    </message>
    <message>
        <source>the main output has rides: mastering engineers usually prefer to make fades themselves</source>
        <translation>die Summe hat Automation: Blenden macht das Mastering meist lieber selbst</translation>
    </message>
    <message>
        <source>Changes to the whole mix belong to mastering, unless agreed otherwise.</source>
        <translation>Änderungen am ganzen Mix gehören ins Mastering, wenn nichts anderes vereinbart ist.</translation>
    </message>
    <message>
        <source>Limiting and compression of the whole mix cannot be undone. Mastering needs the mix without them.</source>
        <translation>Limiting und Kompression des ganzen Mixes lassen sich nicht zurücknehmen. Mastering braucht den Mix ohne sie.</translation>
    </message>
    <message>
        <source>Bypass is for comparing; the export contains none of these rides.</source>
        <translation>Bypass ist zum Vergleichen; der Export enthält keine dieser Automationen.</translation>
    </message>
    <message>
        <source>the monitoring is altered (dim, mono, a speaker check …)</source>
        <translation>das Abhören ist verändert (Dim, Mono, ein Lautsprecher-Check …)</translation>
    </message>
    <message>
        <source>Monitoring never reaches the export: you do not hear what is exported.</source>
        <translation>Das Abhören gelangt nie in den Export: Du hörst nicht, was exportiert wird.</translation>
    </message>
    <message>
        <source>the range to export is empty. Choose another range.</source>
        <translation>der Bereich für den Export ist leer. Wähle einen anderen Bereich.</translation>
    </message>
    <message>
        <source>nothing to export: the mix is not selected, and every track is muted. Select the mix or unmute a track.</source>
        <translation>nichts zu exportieren: der Mix ist nicht ausgewählt, und alle Spuren sind stumm. Wähle den Mix oder schalte eine Spur ein.</translation>
    </message>
    <message>
        <source>the file already exists. Choose another name, or allow replacing it.</source>
        <translation>die Datei gibt es schon. Wähle einen anderen Namen oder erlaube das Ersetzen.</translation>
    </message>
    <message>
        <source>the mix peaks at {} dBFS, and {} holds nothing above full scale: its peaks will be clipped. Turn the main fader down by {:.1f} dB.</source>
        <translation>der Spitzenpegel des Mixes ist {} dBFS, und {} fasst nichts über Vollaussteuerung: Spitzen werden abgeschnitten. Nimm den Summenfader um {:.1f} dB zurück.</translation>
    </message>
    <message>
        <source>a time in the song is a number of seconds from 0. Type it as 12.5, for example.</source>
        <translation>eine Zeit im Song ist eine Zahl von Sekunden ab 0. Schreibe zum Beispiel 12.5.</translation>
    </message>
    <message>
        <source>{:g} s is after the end of the song, which lasts {:.3f} s. Choose an earlier time.</source>
        <translation>{:g} s liegt nach dem Ende des Songs, der {:.3f} s dauert. Wähle eine frühere Zeit.</translation>
    </message>
    <message>
        <source>the end is before the start. Swap the two times.</source>
        <translation>das Ende liegt vor dem Anfang. Vertausche die beiden Zeiten.</translation>
    </message>
    <message>
        <source>the two times are less than one sample apart. Choose a longer range.</source>
        <translation>die beiden Zeiten liegen weniger als ein Sample auseinander. Wähle einen längeren Bereich.</translation>
    </message>
    <message>
        <source>the written file differs from the mix: {}. The file before it is unchanged. Check the disk and export again.</source>
        <translation>die geschriebene Datei weicht vom Mix ab: {}. Die vorige Datei ist unverändert. Prüfe den Datenträger und exportiere noch einmal.</translation>
    </message>
    <message>
        <source>the header gives {} frames, the mix has {}</source>
        <translation>der Kopf nennt {} Frames, der Mix hat {}</translation>
    </message>
    <message>
        <source>the level differs</source>
        <translation>der Pegel weicht ab</translation>
    </message>
    <message>
        <source>{} frames were read, the mix has {}</source>
        <translation>{} Frames wurden gelesen, der Mix hat {}</translation>
    </message>
    <message>
        <source>the samples differ</source>
        <translation>die Samples weichen ab</translation>
    </message>
    <message>
        <source>the file has {} channels; only mono and stereo can be measured. Add the file to a session, which folds or splits the channels.</source>
        <translation>die Datei hat {} Kanäle; gemessen werden nur Mono und Stereo. Füge die Datei einer Sitzung hinzu, die die Kanäle faltet oder teilt.</translation>
    </message>
    <message>
        <source>this version of Isotonus does not know the processor</source>
        <translation>diese Version von Isotonus kennt den Prozessor nicht</translation>
    </message>
    <message>
        <source>the plug-in is not installed</source>
        <translation>das Plug-in ist nicht installiert</translation>
    </message>
    <message>
        <source>line {}: {}. Correct the line in a text editor.</source>
        <translation>Zeile {}: {}. Berichtige die Zeile in einem Texteditor.</translation>
    </message>
    <message>
        <source>a frequency in Hz and a gain in dB are expected</source>
        <translation>erwartet werden eine Frequenz in Hz und ein Gain in dB</translation>
    </message>
    <message>
        <source>the frequency must be from 10 to 40,000 Hz</source>
        <translation>die Frequenz muss von 10 bis 40 000 Hz liegen</translation>
    </message>
    <message>
        <source>the gain must be from −24 to +24 dB</source>
        <translation>der Gain muss von −24 bis +24 dB liegen</translation>
    </message>
    <message>
        <source>each frequency must be higher than the one before</source>
        <translation>jede Frequenz muss höher sein als die davor</translation>
    </message>
    <message>
        <source>a curve has at most 10,000 points</source>
        <translation>eine Kurve hat höchstens 10 000 Punkte</translation>
    </message>
    <message>
        <source>no line has a frequency and a gain. Choose a correction curve as CSV.</source>
        <translation>keine Zeile hat eine Frequenz und einen Gain. Wähle eine Korrekturkurve als CSV.</translation>
    </message>
    <message>
        <source>the memory is full. Close other programs and try again.</source>
        <translation>der Speicher reicht nicht. Schließe andere Programme und versuche es noch einmal.</translation>
    </message>
    <message>
        <source>{} removed</source>
        <translation>{} entfernt</translation>
    </message>
    <message>
        <source>{} on</source>
        <translation>{} an</translation>
    </message>
    <message>
        <source>{} bypassed</source>
        <translation>{} umgangen</translation>
    </message>
    <message>
        <source>{} has the sidechain source {}</source>
        <translation>{} hat als Sidechain-Quelle {}</translation>
    </message>
    <message>
        <source>its own channel</source>
        <translation>der eigene Kanal</translation>
    </message>
    <message>
        <source>{} has another impulse response</source>
        <translation>{} hat eine andere Impulsantwort</translation>
    </message>
    <message>
        <source>{} has another loudness match while bypassed</source>
        <translation>{} ist umgangen anders angeglichen</translation>
    </message>
    <message>
        <source>{} added</source>
        <translation>{} hinzugefügt</translation>
    </message>
    <message>
        <source>the order of its processors has changed</source>
        <translation>die Reihenfolge der Prozessoren hat sich geändert</translation>
    </message>
    <message>
        <source>send to {} removed</source>
        <translation>Send an {} entfernt</translation>
    </message>
    <message>
        <source>send to {} on</source>
        <translation>Send an {} an</translation>
    </message>
    <message>
        <source>send to {} bypassed</source>
        <translation>Send an {} umgangen</translation>
    </message>
    <message>
        <source>send to {} before the fader</source>
        <translation>Send an {} vor dem Fader</translation>
    </message>
    <message>
        <source>send to {} after the fader</source>
        <translation>Send an {} nach dem Fader</translation>
    </message>
    <message>
        <source>send to {} with another pan</source>
        <translation>Send an {} mit anderem Panorama</translation>
    </message>
    <message>
        <source>send to {} added</source>
        <translation>Send an {} hinzugefügt</translation>
    </message>
    <message>
        <source>its rides are bypassed</source>
        <translation>ihre Automation ist umgangen</translation>
    </message>
    <message>
        <source>its rides are on</source>
        <translation>ihre Automation ist an</translation>
    </message>
    <message>
        <source>ride of {} added</source>
        <translation>Automation von {} hinzugefügt</translation>
    </message>
    <message>
        <source>ride of {} removed</source>
        <translation>Automation von {} entfernt</translation>
    </message>
    <message>
        <source>ride of {} changed</source>
        <translation>Automation von {} geändert</translation>
    </message>
    <message>
        <source>ride of {} bypassed</source>
        <translation>Automation von {} umgangen</translation>
    </message>
    <message>
        <source>ride of {} on</source>
        <translation>Automation von {} an</translation>
    </message>
    <message>
        <source>its chain is bypassed</source>
        <translation>die Kette ist umgangen</translation>
    </message>
    <message>
        <source>its chain is on</source>
        <translation>die Kette ist an</translation>
    </message>
    <message>
        <source>dual pan on</source>
        <translation>getrenntes Panorama an</translation>
    </message>
    <message>
        <source>dual pan off</source>
        <translation>getrenntes Panorama aus</translation>
    </message>
    <message>
        <source>its members have changed</source>
        <translation>die Mitglieder haben sich geändert</translation>
    </message>
    <message>
        <source>added</source>
        <translation>hinzugefügt</translation>
    </message>
    <message>
        <source>removed</source>
        <translation>entfernt</translation>
    </message>
    <message>
        <source>the pan law has changed</source>
        <translation>das Pan-Gesetz hat sich geändert</translation>
    </message>
    <message>
        <source>all rides are bypassed</source>
        <translation>alle Automationen sind umgangen</translation>
    </message>
    <message>
        <source>all rides are on</source>
        <translation>alle Automationen sind an</translation>
    </message>
    <message>
        <source>all chains are on</source>
        <translation>alle Ketten sind an</translation>
    </message>
    <message>
        <source>the tempo has changed</source>
        <translation>das Tempo hat sich geändert</translation>
    </message>
    <message>
        <source>the file cannot be read. Check its permissions.</source>
        <translation>die Datei kann nicht gelesen werden. Prüfe ihre Zugriffsrechte.</translation>
    </message>
    <message>
        <source>the file could not be read to its end. Check the disk.</source>
        <translation>die Datei konnte nicht bis zum Ende gelesen werden. Prüfe den Datenträger.</translation>
    </message>
    <message>
        <source>the file changed during the copy. Save again.</source>
        <translation>die Datei hat sich beim Kopieren geändert. Speichere noch einmal.</translation>
    </message>
    <message>
        <source>this is a file. Choose a folder.</source>
        <translation>das ist eine Datei. Wähle einen Ordner.</translation>
    </message>
    <message>
        <source>the folder is not empty. Choose a new or empty folder.</source>
        <translation>der Ordner ist nicht leer. Wähle einen neuen oder leeren Ordner.</translation>
    </message>
    <message>
        <source>must not be above high_dbfs</source>
        <translation>darf nicht über high_dbfs liegen</translation>
    </message>
    <message>
        <source>must be 0, or 40 or more</source>
        <translation>muss 0 sein oder mindestens 40</translation>
    </message>
    <message>
        <source>must be given together with song_from_s</source>
        <translation>muss zusammen mit song_from_s angegeben werden</translation>
    </message>
    <message>
        <source>{}: a number in the file is too large. Restore a backup or correct the number.</source>
        <translation>{}: eine Zahl in der Datei ist zu groß. Nimm eine Sicherung oder berichtige die Zahl.</translation>
    </message>
    <message>
        <source>{}: the file is nested too deeply. Restore a backup.</source>
        <translation>{}: die Datei ist zu tief verschachtelt. Nimm eine Sicherung.</translation>
    </message>
    <message>
        <source>{}: a list in the file is too long. Restore a backup.</source>
        <translation>{}: eine Liste in der Datei ist zu lang. Nimm eine Sicherung.</translation>
    </message>
    <message>
        <source>{}: the JSON is damaged at line {}, column {}. Restore a backup or correct that line.</source>
        <translation>{}: das JSON ist in Zeile {}, Spalte {} beschädigt. Nimm eine Sicherung oder berichtige die Zeile.</translation>
    </message>
    <message>
        <source>must be from {:g} to {:g}</source>
        <translation>muss von {:g} bis {:g} liegen</translation>
    </message>
    <message>
        <source>must be from {} to {}</source>
        <translation>muss von {} bis {} liegen</translation>
    </message>
    <message>
        <source>has more than {} entries</source>
        <translation>hat mehr als {} Einträge</translation>
    </message>
    <message>
        <source>A low cut at 100 Hz, the usual start for most tracks.</source>
        <translation>Ein Low Cut bei 100 Hz, der übliche Anfang für die meisten Spuren.</translation>
    </message>
    <message>
        <source>A low cut at 150 Hz: the low end is left to kick and bass.</source>
        <translation>Ein Low Cut bei 150 Hz: Die Tiefen bleiben Kick und Bass.</translation>
    </message>
    <message>
        <source>A steep low cut at 45 Hz: removes rumble from under drums.</source>
        <translation>Ein steiler Low Cut bei 45 Hz: nimmt das Rumpeln unter dem Schlagzeug weg.</translation>
    </message>
    <message>
        <source>A cut at 350 Hz where a kick sounds boxy, and a little more top.</source>
        <translation>Eine Absenkung bei 350 Hz, wo eine Kick nach Pappe klingt, und etwas mehr Höhen.</translation>
    </message>
    <message>
        <source>A cut at 800 Hz, where a snare masks voices.</source>
        <translation>Eine Absenkung bei 800 Hz, wo eine Snare Stimmen verdeckt.</translation>
    </message>
    <message>
        <source>A gate: spill in a drum&apos;s microphone is turned down between hits.</source>
        <translation>Ein Gate: Einstreuungen ins Mikrofon werden zwischen den Schlägen leiser.</translation>
    </message>
    <message>
        <source>Saturation from 80 to 400 Hz: harmonics that phones can play.</source>
        <translation>Sättigung von 80 bis 400 Hz: Obertöne, die Telefone spielen können.</translation>
    </message>
    <message>
        <source>Duck under the kick</source>
        <translation>Unter der Kick ducken</translation>
    </message>
    <message>
        <source>A ducker of 4 dB: choose the kick as its sidechain source, and the bass is turned down at every hit.</source>
        <translation>Ein Ducker mit 4 dB: Wähle die Kick als Sidechain-Quelle, und der Bass wird bei jedem Schlag leiser.</translation>
    </message>
    <message>
        <source>A wide cut at 1.2 kHz: keys make room for a voice, even before one is recorded.</source>
        <translation>Eine breite Absenkung bei 1,2 kHz: Tasten machen einer Stimme Platz, noch ehe sie aufgenommen ist.</translation>
    </message>
    <message>
        <source>3.5:1 and 3 dB of makeup: a piano whose loud chords no longer jump out.</source>
        <translation>3,5:1 und 3 dB Makeup: ein Klavier, dessen laute Akkorde nicht mehr herausspringen.</translation>
    </message>
    <message>
        <source>A compressor of the band above 5 kHz: sharp sounds are turned down, the rest of the voice stays.</source>
        <translation>Ein Kompressor für das Band über 5 kHz: scharfe Laute werden leiser, der Rest der Stimme bleibt.</translation>
    </message>
    <message>
        <source>A compressor of the band below 120 Hz: choose the kick as its sidechain source, and only the low end of the bass is turned down.</source>
        <translation>Ein Kompressor für das Band unter 120 Hz: Mit der Kick als Sidechain-Quelle wird nur das untere Ende des Basses leiser.</translation>
    </message>
    <message>
        <source>For a bus in parallel with its tracks: no lows, 10:1 and 9 dB of makeup, blended in by the fader of the bus.</source>
        <translation>Für einen Bus parallel zu seinen Spuren: ohne Tiefen, 10:1 und 9 dB Makeup, mit dem Fader des Busses beigemischt.</translation>
    </message>
    <message>
        <source>A bright, dense reverb without audible walls, for behind a voice.</source>
        <translation>Ein heller, dichter Hall ohne hörbare Wände, hinter einer Stimme.</translation>
    </message>
    <message>
        <source>A long, dark reverb: sets a track far back.</source>
        <translation>Ein langer, dunkler Hall: stellt eine Spur weit nach hinten.</translation>
    </message>
    <message>
        <source>A chorus: the track twice, the second a little out of step.</source>
        <translation>Ein Chorus: die Spur zweimal, die zweite etwas versetzt.</translation>
    </message>
    <message>
        <source>For a bus in parallel with its tracks: no lows, 8:1 with an attack of 10 ms, so that the hits pass.</source>
        <translation>Für einen Bus parallel zu seinen Spuren: ohne Tiefen, 8:1 mit 10 ms Attack, damit die Schläge durchkommen.</translation>
    </message>
    <message>
        <source>not a preset. Choose a preset of this program.</source>
        <translation>keine Vorlage. Wähle eine Vorlage dieses Programms.</translation>
    </message>
    <message>
        <source>a newer version of Isotonus wrote this preset. Install that version to use it.</source>
        <translation>eine neuere Version von Isotonus hat diese Vorlage geschrieben. Installiere diese Version.</translation>
    </message>
    <message>
        <source>the preset cannot be read: {}. Delete it, or correct the file.</source>
        <translation>die Vorlage kann nicht gelesen werden: {}. Lösche sie oder berichtige die Datei.</translation>
    </message>
    <message>
        <source>a preset needs a name. Type one.</source>
        <translation>eine Vorlage braucht einen Namen. Gib einen ein.</translation>
    </message>
    <message>
        <source>the chain is empty. Add a processor before you save it.</source>
        <translation>die Kette ist leer. Füge einen Prozessor hinzu, bevor du sie speicherst.</translation>
    </message>
    <message>
        <source>&apos;{}&apos; is a preset of Isotonus. Choose another name.</source>
        <translation>„{}“ ist eine Vorlage von Isotonus. Wähle einen anderen Namen.</translation>
    </message>
    <message>
        <source>you have no preset called &apos;{}&apos;. Check the name in the list of presets.</source>
        <translation>du hast keine Vorlage „{}“. Prüfe den Namen in der Liste der Vorlagen.</translation>
    </message>
    <message>
        <source>the file cannot be deleted: {}. Check its permissions.</source>
        <translation>die Datei kann nicht gelöscht werden: {}. Prüfe ihre Zugriffsrechte.</translation>
    </message>
    <message>
        <source>the folder for unsaved work cannot be written. Save the session often, and check the disk.</source>
        <translation>in den Ordner für ungespeicherte Arbeit kann nicht geschrieben werden. Speichere oft und prüfe den Datenträger.</translation>
    </message>
    <message>
        <source>line {}: &apos;{}&apos; found, &apos;seconds,value&apos; expected. Correct the line.</source>
        <translation>Zeile {}: „{}“ gefunden, „seconds,value“ erwartet. Berichtige die Zeile.</translation>
    </message>
    <message>
        <source>line {}: not a point of a {} ride: {}. Correct the line.</source>
        <translation>Zeile {}: kein Punkt einer Automation von {}: {}. Berichtige die Zeile.</translation>
    </message>
    <message>
        <source>line {}: a ride has at most {} points. Remove some lines.</source>
        <translation>Zeile {}: eine Automation hat höchstens {} Punkte. Entferne einige Zeilen.</translation>
    </message>
    <message>
        <source>the table is empty. Write one point per line as &apos;seconds,value&apos;.</source>
        <translation>die Tabelle ist leer. Schreibe einen Punkt je Zeile als „seconds,value“.</translation>
    </message>
    <message>
        <source>only tracks and buses can send. Choose one of them.</source>
        <translation>nur Spuren und Busse können senden. Wähle eine Spur oder einen Bus.</translation>
    </message>
    <message>
        <source>the bus to send to does not exist. Choose a bus or return of the session.</source>
        <translation>den Bus, an den gesendet werden soll, gibt es nicht. Wähle einen Bus oder Return der Sitzung.</translation>
    </message>
    <message>
        <source>{} cannot send to {}: this would make a feedback loop. Choose another bus.</source>
        <translation>{} kann nicht an {} senden: das ergäbe eine Rückkopplung. Wähle einen anderen Bus.</translation>
    </message>
    <message>
        <source>the bus does not exist. Choose a bus of the session.</source>
        <translation>den Bus gibt es nicht. Wähle einen Bus der Sitzung.</translation>
    </message>
    <message>
        <source>{} cannot have {} as its output: this would make a feedback loop. Choose another output.</source>
        <translation>{} kann {} nicht als Ausgang haben: das ergäbe eine Rückkopplung. Wähle einen anderen Ausgang.</translation>
    </message>
    <message>
        <source>not a MIDI file. Choose a Standard MIDI File.</source>
        <translation>keine MIDI-Datei. Wähle eine Standard-MIDI-Datei.</translation>
    </message>
    <message>
        <source>the MIDI file ends early. Export it again.</source>
        <translation>die MIDI-Datei endet zu früh. Exportiere sie noch einmal.</translation>
    </message>
    <message>
        <source>a MIDI file of format {} holds separate pieces. Export one song as format 0 or 1.</source>
        <translation>eine MIDI-Datei vom Format {} enthält einzelne Stücke. Exportiere einen Song als Format 0 oder 1.</translation>
    </message>
    <message>
        <source>the MIDI file counts in film frames, so its markers have no beats. Export it with ticks per quarter.</source>
        <translation>die MIDI-Datei zählt in Filmbildern, ihre Marken haben keine Schläge. Exportiere sie mit Ticks je Viertel.</translation>
    </message>
    <message>
        <source>the MIDI file is damaged or ends early. Export it again.</source>
        <translation>die MIDI-Datei ist beschädigt oder endet zu früh. Exportiere sie noch einmal.</translation>
    </message>
    <message>
        <source>the MIDI file has no markers and no tempo. Add them where it was made, and export it again.</source>
        <translation>die MIDI-Datei hat keine Marken und kein Tempo. Füge sie dort hinzu, wo die Datei entstand, und exportiere sie noch einmal.</translation>
    </message>
    <message>
        <source>the file has no cue points. Choose a WAV file with cue points.</source>
        <translation>die Datei hat keine Cue-Punkte. Wähle eine WAV-Datei mit Cue-Punkten.</translation>
    </message>
    <message>
        <source>the folder has no audio files. Choose the folder of the exported tracks.</source>
        <translation>der Ordner enthält keine Audiodateien. Wähle den Ordner mit den exportierten Spuren.</translation>
    </message>
    <message>
        <source>none of the audio files in the folder can be read. Export them again as WAV.</source>
        <translation>keine der Audiodateien im Ordner ist lesbar. Exportiere sie noch einmal als WAV.</translation>
    </message>
    <message>
        <source>{} is a number, &apos;{}&apos; is not. Type a number.</source>
        <translation>{} ist eine Zahl, „{}“ nicht. Gib eine Zahl ein.</translation>
    </message>
    <message>
        <source>{} goes from {:.9g} to {:.9g}{}; {} is outside. Type a value inside.</source>
        <translation>{} geht von {:.9g} bis {:.9g}{}; {} liegt außerhalb. Gib einen Wert darin ein.</translation>
    </message>
    <message>
        <source>{} is {} or {}, not &apos;{}&apos;. Type one of the two.</source>
        <translation>{} ist {} oder {}, nicht „{}“. Gib eins von beiden ein.</translation>
    </message>
    <message>
        <source>target is auto or MEASURE:LOW:HIGH, not &apos;{}&apos;. Type peak:-7:-5, for example.</source>
        <translation>target ist auto oder MEASURE:LOW:HIGH, nicht „{}“. Gib zum Beispiel peak:-7:-5 ein.</translation>
    </message>
    <message>
        <source>the first level of target is above the second. Type the lower level first.</source>
        <translation>der erste Pegel von target liegt über dem zweiten. Gib den tieferen zuerst ein.</translation>
    </message>
    <message>
        <source>staged_without is off or FROM-TO in seconds of the song. Type 12-15, for example.</source>
        <translation>staged_without ist off oder FROM-TO in Sekunden des Songs. Gib zum Beispiel 12-15 ein.</translation>
    </message>
    <message>
        <source>the first time of staged_without is after the second. Type the earlier time first.</source>
        <translation>die erste Zeit von staged_without liegt nach der zweiten. Gib die frühere zuerst ein.</translation>
    </message>
    <message>
        <source>kind is percussive, sustained or auto, not &apos;{}&apos;. Type one of the three.</source>
        <translation>kind ist percussive, sustained oder auto, nicht „{}“. Gib eins davon ein.</translation>
    </message>
    <message>
        <source>&apos;{}&apos; is not a setting of a track. Use one of trim, fader, pan, width, mono_below, mute, solo, solo_safe, polarity, delay, kind, target, staged_without.</source>
        <translation>„{}“ ist keine Einstellung einer Spur. Nimm trim, fader, pan, width, mono_below, mute, solo, solo_safe, polarity, delay, kind, target oder staged_without.</translation>
    </message>
    <message>
        <source>&apos;{}&apos; is not a pan law. Use constant_power, compromise, linear or balance.</source>
        <translation>„{}“ ist kein Pan-Gesetz. Nimm constant_power, compromise, linear oder balance.</translation>
    </message>
    <message>
        <source>&apos;{}&apos; is not a setting of the main output. Use fader or pan_law.</source>
        <translation>„{}“ ist keine Einstellung der Summe. Nimm fader oder pan_law.</translation>
    </message>
    <message>
        <source>cannot contain a zero byte</source>
        <translation>kann kein Null-Byte enthalten</translation>
    </message>
    <message>
        <source>is not one of the known words</source>
        <translation>ist keines der bekannten Wörter</translation>
    </message>
    <message>
        <source>not a session file: &quot;format&quot; differs from &quot;isotonus-session&quot;. Choose a file that ends in .isotonus.</source>
        <translation>keine Sitzungsdatei: „format“ ist nicht „isotonus-session“. Wähle eine Datei, die auf .isotonus endet.</translation>
    </message>
    <message>
        <source>the &quot;version&quot; of the session is missing or not a whole number. Restore a backup of the file.</source>
        <translation>die „version“ der Sitzung fehlt oder ist keine ganze Zahl. Nimm eine Sicherung der Datei.</translation>
    </message>
    <message>
        <source>a newer Isotonus wrote this session (version {}; this program reads up to {}). Install the newer version to open it.</source>
        <translation>ein neueres Isotonus hat diese Sitzung geschrieben (Version {}; dieses Programm liest bis {}). Installiere die neuere Version.</translation>
    </message>
    <message>
        <source>the &quot;version&quot; of the session must be 1 or more. Restore a backup of the file.</source>
        <translation>die „version“ der Sitzung muss mindestens 1 sein. Nimm eine Sicherung der Datei.</translation>
    </message>
    <message>
        <source>the session cannot be read: {}. Restore a backup or correct the file.</source>
        <translation>die Sitzung kann nicht gelesen werden: {}. Nimm eine Sicherung oder berichtige die Datei.</translation>
    </message>
    <message>
        <source>not a session file: the file is empty. Restore a backup.</source>
        <translation>keine Sitzungsdatei: die Datei ist leer. Nimm eine Sicherung.</translation>
    </message>
    <message>
        <source>the session was not saved, because it could not be opened again: {}. Undo the last change and save.</source>
        <translation>die Sitzung wurde nicht gespeichert, weil sie nicht wieder zu öffnen wäre: {}. Nimm die letzte Änderung zurück und speichere.</translation>
    </message>
    <message>
        <source>the session was not saved, because it would be too large to open again. Simplify its longest rides.</source>
        <translation>die Sitzung wurde nicht gespeichert, weil sie zu groß zum Öffnen wäre. Vereinfache ihre längsten Automationen.</translation>
    </message>
    <message>
        <source>the list of references cannot be read: {}. Delete the file to start a new list.</source>
        <translation>die Liste der Referenzen kann nicht gelesen werden: {}. Lösche die Datei, um eine neue zu beginnen.</translation>
    </message>
    <message>
        <source>the folder of the file cannot be made. Check the permissions of the folder above.</source>
        <translation>der Ordner der Datei kann nicht angelegt werden. Prüfe die Zugriffsrechte des Ordners darüber.</translation>
    </message>
    <message>
        <source>not a target sheet: &quot;format&quot; differs from &quot;isotonus-target-sheet&quot;. Choose a target sheet.</source>
        <translation>kein Zielblatt: „format“ ist nicht „isotonus-target-sheet“. Wähle ein Zielblatt.</translation>
    </message>
    <message>
        <source>a newer version of Isotonus wrote this target sheet. Install that version to use it.</source>
        <translation>eine neuere Version von Isotonus hat dieses Zielblatt geschrieben. Installiere diese Version.</translation>
    </message>
    <message>
        <source>the target sheet cannot be read: {}. Correct the file, or choose another sheet.</source>
        <translation>das Zielblatt kann nicht gelesen werden: {}. Berichtige die Datei oder wähle ein anderes Blatt.</translation>
    </message>
    <message>
        <source>&apos;{}&apos; is not a tempo. Type 120 or 97.5 6/8, from 10 to 1000 quarters a minute.</source>
        <translation>„{}“ ist kein Tempo. Gib 120 oder 97,5 6/8 ein, von 10 bis 1000 Viertel in der Minute.</translation>
    </message>
    <message>
        <source>the right channel of the track &apos;{}&apos;</source>
        <translation>der rechte Kanal der Spur „{}“</translation>
    </message>
    <message>
        <source>the impulse response of &apos;{}&apos;</source>
        <translation>die Impulsantwort von „{}“</translation>
    </message>
    <message>
        <source>the session kept with the print &apos;{}&apos;</source>
        <translation>die Sitzung zum Zwischenstand „{}“</translation>
    </message>
    <message>
        <source>the file of the session</source>
        <translation>die Datei der Sitzung</translation>
    </message>
    <message>
        <source>must be from {:.9g} to {:.9g}, but is {:.9g}</source>
        <translation>muss von {:.9g} bis {:.9g} liegen, ist aber {:.9g}</translation>
    </message>
    <message>
        <source>must be from {} to {}, but is {}</source>
        <translation>muss von {} bis {} liegen, ist aber {}</translation>
    </message>
    <message>
        <source>is not text in UTF-8</source>
        <translation>ist kein Text in UTF-8</translation>
    </message>
    <message>
        <source>has {} entries, at most {} are possible</source>
        <translation>hat {} Einträge, höchstens {} sind möglich</translation>
    </message>
    <message>
        <source>is before the preceding point</source>
        <translation>liegt vor dem vorigen Punkt</translation>
    </message>
    <message>
        <source>is not a ride that this channel can have</source>
        <translation>ist keine Automation, die dieser Kanal haben kann</translation>
    </message>
    <message>
        <source>belongs to two processors</source>
        <translation>gehört zwei Prozessoren</translation>
    </message>
    <message>
        <source>is not one of its parameters</source>
        <translation>ist keiner seiner Parameter</translation>
    </message>
    <message>
        <source>is a ride of a processor that does not exist</source>
        <translation>ist die Automation eines Prozessors, den es nicht gibt</translation>
    </message>
    <message>
        <source>belongs to two sends</source>
        <translation>gehört zwei Sends</translation>
    </message>
    <message>
        <source>is the target of two sends</source>
        <translation>ist das Ziel zweier Sends</translation>
    </message>
    <message>
        <source>is a ride of a send that does not exist</source>
        <translation>ist die Automation eines Sends, den es nicht gibt</translation>
    </message>
    <message>
        <source>belongs to two channels</source>
        <translation>gehört zwei Kanälen</translation>
    </message>
    <message>
        <source>is an identifier that was not given yet</source>
        <translation>ist eine Kennung, die noch nicht vergeben wurde</translation>
    </message>
    <message>
        <source>is not a bus of the session</source>
        <translation>ist kein Bus der Sitzung</translation>
    </message>
    <message>
        <source>makes a feedback loop</source>
        <translation>ergibt eine Rückkopplung</translation>
    </message>
    <message>
        <source>{}, sidechain source {}</source>
        <translation>{}, Sidechain-Quelle {}</translation>
    </message>
    <message>
        <source>{}, input {}</source>
        <translation>{}, Eingang {}</translation>
    </message>
    <message>
        <source>makes a loop: the channel would be its own sidechain source ({})</source>
        <translation>ergibt eine Schleife: Der Kanal wäre seine eigene Sidechain-Quelle ({})</translation>
    </message>
    <message>
        <source>makes a feedback loop: {}</source>
        <translation>ergibt eine Rückkopplung: {}</translation>
    </message>
    <message>
        <source>is before the preceding section</source>
        <translation>liegt vor dem vorigen Abschnitt</translation>
    </message>
    <message>
        <source>is before the preceding mark</source>
        <translation>liegt vor der vorigen Marke</translation>
    </message>
    <message>
        <source>is before the preceding note</source>
        <translation>liegt vor der vorigen Notiz</translation>
    </message>
    <message>
        <source>the chain has no processor at this position. Check the number in the list of the chain.</source>
        <translation>die Kette hat an dieser Stelle keinen Prozessor. Prüfe die Nummer in der Liste der Kette.</translation>
    </message>
    <message>
        <source>&apos;{}&apos; has no threshold for reduction. Choose a compressor, a ducker or a gate.</source>
        <translation>„{}“ hat keine Schwelle für Reduktion. Wähle einen Kompressor, einen Ducker oder ein Gate.</translation>
    </message>
    <message>
        <source>between</source>
        <translation>zwischen</translation>
    </message>
    <message>
        <source>frequencies</source>
        <translation>Frequenzen</translation>
    </message>
    <message>
        <source>sidechain high cut</source>
        <translation>Sidechain High Cut</translation>
    </message>
    <message>
        <source>sidechain low cut</source>
        <translation>Sidechain Low Cut</translation>
    </message>
    <message>
        <source>an impulse response has 1, 2 or 4 channels, this file has {}. Choose another file.</source>
        <translation>eine Impulsantwort hat 1, 2 oder 4 Kanäle, diese Datei hat {}. Wähle eine andere Datei.</translation>
    </message>
    <message>
        <source>the impulse response is silent. Choose another file.</source>
        <translation>die Impulsantwort ist still. Wähle eine andere Datei.</translation>
    </message>
    <message>
        <source>&apos;{}&apos; changed after its sound was computed. Try again.</source>
        <translation>„{}“ wurde geändert, nachdem der Klang berechnet war. Versuche es noch einmal.</translation>
    </message>
    <message>
        <source>a chain changed after its sound was computed. Try again.</source>
        <translation>eine Kette wurde geändert, nachdem ihr Klang berechnet war. Versuche es noch einmal.</translation>
    </message>
    <message>
        <source>this processor reduces no level. Choose a compressor, a ducker, a gate or a limiter.</source>
        <translation>dieser Prozessor senkt keinen Pegel. Wähle einen Kompressor, einen Ducker, ein Gate oder einen Limiter.</translation>
    </message>
    <message>
        <source>the plug-in crashed more than once</source>
        <translation>das Plug-in ist mehr als einmal abgestürzt</translation>
    </message>
    <message>
        <source>the disk is full, so a plug-in cannot write its sound. Free some space.</source>
        <translation>der Datenträger ist voll, ein Plug-in kann seinen Klang nicht ablegen. Schaffe Platz.</translation>
    </message>
    <message>
        <source>the kept audio cannot be read again. Empty the cache in the settings.</source>
        <translation>das behaltene Audio ist nicht mehr lesbar. Leere den Zwischenspeicher in den Einstellungen.</translation>
    </message>
    <message>
        <source>{}, and the low end would gain {:.1f} dB</source>
        <translation>{}, die Tiefen würden {:.1f} dB gewinnen</translation>
    </message>
    <message>
        <source>nearly silent: peak {:.0f} dBFS</source>
        <translation>fast still: Spitze {:.0f} dBFS</translation>
    </message>
    <message>
        <source>{} corrupt samples (NaN)</source>
        <translation>{} fehlerhafte Samples (NaN)</translation>
    </message>
    <message>
        <source>left channel is dead</source>
        <translation>linker Kanal ist tot</translation>
    </message>
    <message>
        <source>right channel is dead</source>
        <translation>rechter Kanal ist tot</translation>
    </message>
    <message>
        <source>left channel louder by {:.0f} dB</source>
        <translation>linker Kanal um {:.0f} dB lauter</translation>
    </message>
    <message>
        <source>right channel louder by {:.0f} dB</source>
        <translation>rechter Kanal um {:.0f} dB lauter</translation>
    </message>
    <message>
        <source>left channel is dead, {} has it</source>
        <translation>linker Kanal ist tot, er steht in {}</translation>
    </message>
    <message>
        <source>right channel is dead, {} has it</source>
        <translation>rechter Kanal ist tot, er steht in {}</translation>
    </message>
    <message>
        <source>the track is silent</source>
        <translation>die Spur ist still</translation>
    </message>
    <message>
        <source>the track needs a trim of {:+.1f} dB, and a trim goes to ±{:.0f} dB</source>
        <translation>die Spur braucht einen Trim von {:+.1f} dB, und ein Trim geht bis ±{:.0f} dB</translation>
    </message>
    <message>
        <source>the peak would be {:.1f} dBFS, above the ceiling of {:.1f} dBFS</source>
        <translation>der Spitzenpegel wäre {:.1f} dBFS, über der Grenze von {:.1f} dBFS</translation>
    </message>
    <message>
        <source>the sound server does not answer. Start it, or choose another device.</source>
        <translation>der Soundserver antwortet nicht. Starte ihn oder wähle ein anderes Gerät.</translation>
    </message>
    <message>
        <source>the sound device does not exist. Choose another device.</source>
        <translation>das Tongerät gibt es nicht. Wähle ein anderes Gerät.</translation>
    </message>
    <message>
        <source>another program uses the MIDI device. Close that program and try again.</source>
        <translation>ein anderes Programm benutzt das MIDI-Gerät. Schließe das Programm und versuche es noch einmal.</translation>
    </message>
    <message>
        <source>the MIDI device does not exist. Connect it, or choose another one.</source>
        <translation>das MIDI-Gerät gibt es nicht. Schließe es an oder wähle ein anderes.</translation>
    </message>
    <message>
        <source>this machine has no MIDI: neither the ALSA sequencer nor a JACK server runs. Start one of them.</source>
        <translation>dieser Rechner hat kein MIDI: weder der ALSA-Sequencer noch ein JACK-Server läuft. Starte einen davon.</translation>
    </message>
    <message>
        <source>the plug-in was not started</source>
        <translation>das Plug-in wurde nicht gestartet</translation>
    </message>
    <message>
        <source>the plug-in has a port of an unknown kind</source>
        <translation>das Plug-in hat einen Anschluss unbekannter Art</translation>
    </message>
    <message>
        <source>the plug-in is not an effect for one or two channels</source>
        <translation>das Plug-in ist kein Effekt für einen oder zwei Kanäle</translation>
    </message>
    <message>
        <source>the plug-in cannot be started</source>
        <translation>das Plug-in kann nicht gestartet werden</translation>
    </message>
    <message>
        <source>channels</source>
        <translation>Kanäle</translation>
    </message>
    <message>
        <source>band {}: {}</source>
        <translation>Band {}: {}</translation>
    </message>
    <message>
        <source>left pan</source>
        <translation>Panorama links</translation>
    </message>
    <message>
        <source>right pan</source>
        <translation>Panorama rechts</translation>
    </message>
    <message>
        <source>the conversion to {} Hz failed: {}</source>
        <translation>die Umwandlung in {} Hz ist misslungen: {}</translation>
    </message>
    <message>
        <source>the sound device cannot be opened: {}. Choose another device.</source>
        <translation>das Audiogerät lässt sich nicht öffnen: {}. Wähle ein anderes Gerät.</translation>
    </message>
    <message>
        <source>the system has no sound output now. Connect or start one; it is used as soon as it is there.</source>
        <translation>das System hat gerade keine Audioausgabe. Schließe eine an oder starte sie; sie wird benutzt, sobald sie da ist.</translation>
    </message>
    <message>
        <source>The device &apos;{}&apos; is back and plays.</source>
        <translation>Das Gerät „{}“ ist zurück und spielt.</translation>
    </message>
    <message>
        <source>The device &apos;{}&apos; asks for sound faster than time passes, as one does that is gone. The simulated device keeps time until it is back; position and session are unchanged.</source>
        <translation>Das Gerät „{}“ verlangt schneller Ton, als die Zeit vergeht, wie eines, das fort ist. Das simulierte Gerät hält die Zeit, bis es zurück ist; Position und Session sind unverändert.</translation>
    </message>
    <message>
        <source>The device &apos;{}&apos; is gone. The simulated device keeps time until it is back; position and session are unchanged. You can choose another device in the text at the lower right.</source>
        <translation>Das Gerät „{}“ ist fort. Das simulierte Gerät hält die Zeit, bis es zurück ist; Position und Session sind unverändert. Im Text unten rechts kannst du ein anderes Gerät wählen.</translation>
    </message>
    <message>
        <source>the sound server refuses the connection. Choose another device, or look at the server&apos;s own messages.</source>
        <translation>der Audioserver weist die Verbindung ab. Wähle ein anderes Gerät, oder sieh in den Meldungen des Servers nach.</translation>
    </message>
    <message>
        <source>the device runs at {:g} kHz, and the session is at {:g} kHz. Set the device to the session&apos;s rate, or choose another device.</source>
        <translation>das Gerät läuft mit {:g} kHz, die Session mit {:g} kHz. Stelle das Gerät auf die Rate der Session, oder wähle ein anderes Gerät.</translation>
    </message>
    <message>
        <source>Raises or lowers parts of the spectrum. Cut what disturbs before you boost what is missing.</source>
        <translation>Hebt oder senkt Teile des Spektrums. Erst absenken, was stört, dann anheben, was fehlt.</translation>
    </message>
    <message>
        <source>Turns loud passages down, so that the level stays even. 2 to 3 dB for a voice.</source>
        <translation>Macht laute Passagen leiser, damit der Pegel gleichmäßig bleibt. 2 bis 3 dB für eine Stimme.</translation>
    </message>
    <message>
        <source>Compresses one range of frequencies alone, such as sharp s sounds or a boomy low end.</source>
        <translation>Komprimiert nur einen Frequenzbereich, etwa scharfe S-Laute oder dröhnende Tiefen.</translation>
    </message>
    <message>
        <source>Lowers the sound while another track plays, such as the bass under the kick.</source>
        <translation>Senkt den Klang, während eine andere Spur spielt, etwa den Bass unter der Kick.</translation>
    </message>
    <message>
        <source>Silences what stays below a threshold, such as bleed between the hits of a drum.</source>
        <translation>Macht still, was unter einem Threshold bleibt, etwa Übersprechen zwischen den Schlägen einer Trommel.</translation>
    </message>
    <message>
        <source>Adds harmonics by gentle distortion. Makes a bass audible on small speakers.</source>
        <translation>Fügt durch sanfte Verzerrung Obertöne hinzu. Macht einen Bass auf kleinen Lautsprechern hörbar.</translation>
    </message>
    <message>
        <source>Makes the attack or the ring of hits louder or softer, whatever their level.</source>
        <translation>Macht Anschlag oder Ausklang von Schlägen lauter oder leiser, gleich welchen Pegel sie haben.</translation>
    </message>
    <message>
        <source>Lets no peak pass a ceiling. Use it on single peaks of a track, sparingly on the main output.</source>
        <translation>Lässt keine Spitze über eine Obergrenze. Für einzelne Spitzen einer Spur, sparsam auf der Summe.</translation>
    </message>
    <message>
        <source>Chorus, flanger or phaser: a copy that moves against the sound. Widens what is static.</source>
        <translation>Chorus, Flanger oder Phaser: eine Kopie, die sich gegen den Klang bewegt. Macht Starres breiter.</translation>
    </message>
    <message>
        <source>Echoes, free or in note values. Gives depth without the wash of a room.</source>
        <translation>Echos, frei oder in Notenwerten. Gibt Tiefe, ohne wie ein Raum zu verwaschen.</translation>
    </message>
    <message>
        <source>Makes a stereo sound wider or narrower. Narrow what loses too much in mono.</source>
        <translation>Macht einen Stereoklang breiter oder schmaler. Schmaler, was in Mono zu viel verliert.</translation>
    </message>
    <message>
        <source>Its width becomes {:.0f} %, as it would lose {:.1f} dB in mono.</source>
        <translation>Die Breite wird {:.0f} %, da sonst in Mono {:.1f} dB verloren gingen.</translation>
    </message>
    <message>
        <source>Its sides cancel in mono, which no width mends. Check the polarity of its channels.</source>
        <translation>Ihre Seiten löschen sich in Mono aus, daran ändert keine Breite etwas. Prüfe die Polarität der Kanäle.</translation>
    </message>
    <message>
        <source>Removes everything below a frequency: rumble, hum, lows that another track needs.</source>
        <translation>Nimmt weg, was unter einer Frequenz liegt: Rumpeln, Brummen, Tiefen, die eine andere Spur braucht.</translation>
    </message>
    <message>
        <source>Removes everything above a frequency: hiss, or brightness that draws a sound forward.</source>
        <translation>Nimmt weg, was über einer Frequenz liegt: Rauschen oder Helligkeit, die einen Klang nach vorn holt.</translation>
    </message>
    <message>
        <source>The sound of a room. Use it on a return, so that several tracks share one room.</source>
        <translation>Der Klang eines Raums. Auf einem Return stehen mehrere Spuren im selben Raum.</translation>
    </message>
    <message>
        <source>System output</source>
        <translation>Systemausgabe</translation>
    </message>
    <message>
        <source>{} dBFS at {}, raised by {}</source>
        <translation>{} dBFS bei {}, angehoben durch {}</translation>
    </message>
    <message>
        <source>by the word &apos;{}&apos; in its name</source>
        <translation>nach dem Wort „{}“ im Namen</translation>
    </message>
    <message>
        <source>the song has {} tempos, and this one would replace them all. Remove them first: &apos;None&apos; in the window &apos;Tempo&apos;, &apos;tempo SESSION none&apos; on the command line.</source>
        <translation>der Song hat {} Tempi, und dieses eine würde sie alle ersetzen. Entferne sie zuerst: „Keins“ im Fenster „Tempo“, &apos;tempo SESSION none&apos; auf der Kommandozeile.</translation>
    </message>
    <message>
        <source>the mix is not silent</source>
        <translation>der Mix ist nicht stumm</translation>
    </message>
    <message>
        <source>nothing but the fader of the main output changes the mix</source>
        <translation>nichts außer dem Fader der Summe verändert den Mix</translation>
    </message>
</context>
<context>
    <name>isotonus::Advisor</name>
    <message>
        <source>Make room for %1</source>
        <translation>Platz machen für %1</translation>
    </message>
    <message>
        <source>%1 % of %2 is heard, and no small cut brings more.</source>
        <translation>%1 % von %2 sind zu hören, und kein kleiner Schnitt bringt mehr.</translation>
    </message>
    <message>
        <source>%1 %2 at %3</source>
        <translation>%1 %2 bei %3</translation>
    </message>
    <message>
        <source>%1 % of %2 is heard, %3 % with these cuts: %4.</source>
        <translation>%1 % von %2 sind zu hören, %3 % mit diesen Schnitten: %4.</translation>
    </message>
    <message>
        <source>Nothing covers %1 for more than a tenth of its time.</source>
        <translation>Nichts verdeckt %1 länger als ein Zehntel seiner Zeit.</translation>
    </message>
    <message>
        <source>%1 (%2) by %3 dB</source>
        <translation>%1 (%2) um %3 dB</translation>
    </message>
    <message>
        <source>%1 is not heard.</source>
        <translation>%1 ist nicht zu hören.</translation>
    </message>
    <message>
        <source>Measuring the whole song…</source>
        <translation>Der ganze Song wird gemessen…</translation>
    </message>
    <message>
        <source>Measuring the result…</source>
        <translation>Das Ergebnis wird gemessen…</translation>
    </message>
    <message>
        <source>%1 % of %2 is heard now; before %3 %, expected %4 %.</source>
        <translation>%1 % von %2 sind jetzt hörbar; vorher %3 %, erwartet %4 %.</translation>
    </message>
    <message>
        <source>Suggested low cut</source>
        <translation>Vorgeschlagener Low Cut</translation>
    </message>
    <message>
        <source>%1: no low cut needed, nothing sounds below its body</source>
        <translation>%1: kein Low Cut nötig, unter dem Körper klingt nichts</translation>
    </message>
    <message>
        <source>%1: a low cut at %2 removes %3 dB</source>
        <translation>%1: ein Low Cut bei %2 nimmt %3 dB weg</translation>
    </message>
    <message>
        <source>Cuts at resonances</source>
        <translation>Absenkungen an Resonanzen</translation>
    </message>
    <message>
        <source>No resonance stands out for long.</source>
        <translation>Keine Resonanz sticht lange heraus.</translation>
    </message>
    <message>
        <source>Resonances: %1. Narrow cuts there tame them.</source>
        <translation>Resonanzen: %1. Schmale Absenkungen dort zähmen sie.</translation>
    </message>
    <message>
        <source>The chain is still being computed. Ask again in a moment.</source>
        <translation>Die Kette wird noch berechnet. Frage gleich noch einmal.</translation>
    </message>
    <message>
        <source>Threshold for the target reduction</source>
        <translation>Threshold für die gewünschte Reduktion</translation>
    </message>
    <message>
        <source>Threshold %1: at most %2 dB at %3, %4 dB while it works.</source>
        <translation>Threshold %1: höchstens %2 dB bei %3, %4 dB während er arbeitet.</translation>
    </message>
    <message>
        <source>Threshold %1: at most %2 dB at %3, %4 dB while it works. This is the closest threshold.</source>
        <translation>Threshold %1: höchstens %2 dB bei %3, %4 dB während er arbeitet. Näher kommt kein Threshold.</translation>
    </message>
    <message>
        <source>%1 is strongest at %2; a narrow cut in the others does not bring more of it.</source>
        <translation>%1 ist bei %2 am stärksten; eine schmale Absenkung in den anderen bringt nicht mehr davon.</translation>
    </message>
    <message>
        <source>Cut %1 of %2 in the others</source>
        <translation>%1 von %2 in den anderen absenken</translation>
    </message>
    <message>
        <source>%1 is strongest at %2. With narrow cuts there (%3), %4 % of the sound around it is %1&apos;s; now %5 %.</source>
        <translation>%1 ist bei %2 am stärksten. Mit schmalen Absenkungen dort (%3) stammen %4 % des Klangs um diese Frequenz von %1, jetzt %5 %.</translation>
    </message>
    <message>
        <source>Duck under %1</source>
        <translation>Unter %1 ducken</translation>
    </message>
    <message>
        <source>%1 has no hits.</source>
        <translation>%1 hat keine Schläge.</translation>
    </message>
    <message numerus="yes">
        <source>At %n hit(s) of %1 the low ends correlate by %2</source>
        <translation>
            <numerusform>Bei %n Schlag von %1 korrelieren die Tiefen mit %2</numerusform>
            <numerusform>Bei %n Schlägen von %1 korrelieren die Tiefen mit %2</numerusform>
        </translation>
    </message>
    <message>
        <source>%1: no hits to duck under.</source>
        <translation>%1: keine Schläge, unter denen geduckt werden könnte.</translation>
    </message>
    <message>
        <source>%1: %2 dB down for %3 ms, release %4 ms.</source>
        <translation>%1: %2 dB tiefer für %3 ms, Release %4 ms.</translation>
    </message>
    <message>
        <source>The picture shows what covers %1. Point at a band.</source>
        <translation>Das Bild zeigt, was %1 verdeckt. Zeige auf ein Band.</translation>
    </message>
</context>
<context>
    <name>isotonus::Audition</name>
    <message>
        <source>%1 alone, from %2. Space stops and returns to the mix.</source>
        <translation>%1 allein, ab %2. Die Leertaste hält an und kehrt zum Mix zurück.</translation>
    </message>
    <message>
        <source>Only %1 below %2 Hz, as the mono bass hears it. Space stops and returns to the mix.</source>
        <translation>Nur %1 unter %2 Hz, der Teil, der mono ist. Die Leertaste hält an und kehrt zum Mix zurück.</translation>
    </message>
    <message>
        <source>The song is too short or too quiet: a passage needs 8 s.</source>
        <translation>Der Song ist zu kurz oder zu leise: eine Passage braucht 8 s.</translation>
    </message>
    <message>
        <source>Looping the most dynamic passage: %1 LU between its quietest and loudest 3 s.</source>
        <translation>Loop über die dynamischste Passage: %1 LU zwischen ihren leisesten und lautesten 3 s.</translation>
    </message>
    <message>
        <source>Looping the loudest passage: its loudest 8 s are at %1.</source>
        <translation>Loop über die lauteste Passage: ihre lautesten 8 s liegen bei %1.</translation>
    </message>
</context>
<context>
    <name>isotonus::BalanceLane</name>
    <message>
        <source>%1: fader %2, pan %3</source>
        <translation>%1: Fader %2, Panorama %3</translation>
    </message>
    <message>
        <source>Fader</source>
        <translation>Fader</translation>
    </message>
    <message>
        <source>Width</source>
        <translation>Breite</translation>
    </message>
    <message>
        <source>Pan</source>
        <translation>Panorama</translation>
    </message>
    <message>
        <source>%1 %2 %3</source>
        <translation>%1 %2 %3</translation>
    </message>
    <message>
        <source>%1 peaks at %2 with its fader at +12 dB.</source>
        <translation>%1 hat mit dem Fader auf +12 dB eine Spitze von %2.</translation>
    </message>
    <message>
        <source>Fader %1 for a peak of %2</source>
        <translation>Fader %1 für eine Spitze von %2</translation>
    </message>
    <message>
        <source>%1 %</source>
        <translation>%1 %</translation>
    </message>
    <message>
        <source>%1 (its ride adds %2 here)</source>
        <translation>%1 (die Pegelfahrt addiert hier %2)</translation>
    </message>
    <message>
        <source>%1, output %2</source>
        <translation>%1, Ausgang %2</translation>
    </message>
    <message>
        <source>%1; whole-song peak after the fader, before the pan %2</source>
        <translation>%1; Spitzenpegel des Songs nach dem Fader, vor dem Panorama %2</translation>
    </message>
    <message>
        <source>%1; highest peak heard %2</source>
        <translation>%1; höchster gehörter Spitzenpegel %2</translation>
    </message>
    <message>
        <source>%1; %2 % of its bands are heard, %3 % when quiet</source>
        <translation>%1; %2 % der Bänder hörbar, %3 % wenn leise</translation>
    </message>
    <message numerus="yes">
        <source>%1 %n track(s) at %2</source>
        <translation>
            <numerusform>%1 von %n Spur auf %2</numerusform>
            <numerusform>%1 von %n Spuren auf %2</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <source>%1 %n track(s) %2</source>
        <translation>
            <numerusform>%1 von %n Spur %2</numerusform>
            <numerusform>%1 von %n Spuren %2</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <source>%1 %n track(s)</source>
        <translation>
            <numerusform>%1 von %n Spur</numerusform>
            <numerusform>%1 von %n Spuren</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <source>Faders of %n track(s) for a peak of %1</source>
        <translation>
            <numerusform>Fader von %n Spur für einen Spitzenpegel von %1</numerusform>
            <numerusform>Fader von %n Spuren für einen Spitzenpegel von %1</numerusform>
        </translation>
    </message>
</context>
<context>
    <name>isotonus::BalancePanel</name>
    <message>
        <source>Headroom plan</source>
        <translation>Headroom-Plan</translation>
    </message>
    <message>
        <source>Build-up</source>
        <translation>Aufbau</translation>
    </message>
    <message>
        <source>Masking</source>
        <translation>Verdeckung</translation>
    </message>
    <message>
        <source>Stereo picture</source>
        <translation>Stereobild</translation>
    </message>
    <message>
        <source>First balance</source>
        <translation>Erste Balance</translation>
    </message>
    <message>
        <source>Loss in mono</source>
        <translation>Verlust in Mono</translation>
    </message>
    <message>
        <source>Proposes faders that bring the peak of the mix into its window. Use it when the peak is too high.</source>
        <translation>Schlägt Fader vor, die die Spitze des Mixes in ihr Fenster bringen. Wenn die Spitze zu hoch ist.</translation>
    </message>
    <message>
        <source>Brings the tracks in one at a time and suggests a level for each. Use it for a first balance by ear.</source>
        <translation>Holt die Spuren eine nach der anderen und schlägt je einen Pegel vor. Für eine erste Balance nach Gehör.</translation>
    </message>
    <message>
        <source>Shows how much of the track is heard and which tracks cover it. Use it when a track cannot be heard.</source>
        <translation>Zeigt, wie viel von der Spur zu hören ist und welche Spuren sie verdecken. Wenn eine Spur nicht zu hören ist.</translation>
    </message>
    <message>
        <source>Lists how much each track loses in mono. Check it after panning.</source>
        <translation>Listet, wie viel jede Spur in Mono verliert. Prüfe es nach dem Verteilen im Panorama.</translation>
    </message>
    <message>
        <source>Shows left against right as a cloud: narrow is mono, round is wide. Check it in loud passages.</source>
        <translation>Zeigt links gegen rechts als Wolke: schmal ist mono, rund ist breit. Prüfe es in lauten Passagen.</translation>
    </message>
    <message>
        <source>Proposes faders and pans for all tracks, from a rough mix or from what can be heard.</source>
        <translation>Schlägt Fader und Panorama für alle Spuren vor, aus einem Rohmix oder aus dem Hörbaren.</translation>
    </message>
</context>
<context>
    <name>isotonus::BlindPage</name>
    <message>
        <source>Rounds</source>
        <translation>Runden</translation>
    </message>
    <message>
        <source>Hear %1</source>
        <translation>%1 hören</translation>
    </message>
    <message>
        <source>%1 is the best</source>
        <translation>%1 ist die beste</translation>
    </message>
    <message>
        <source>the mix</source>
        <translation>der Mix</translation>
    </message>
    <message>
        <source>Blind comparison</source>
        <translation>Blindvergleich</translation>
    </message>
    <message>
        <source>%1, shuffled under letters in each round and matched in loudness.</source>
        <translation>%1, in jeder Runde unter Buchstaben gemischt und in der Lautheit angeglichen.</translation>
    </message>
    <message>
        <source>%1: %2</source>
        <translation>%1: %2</translation>
    </message>
    <message>
        <source>Start</source>
        <translation>Starten</translation>
    </message>
    <message>
        <source>Shuffles the versions in every round, at one loudness.</source>
        <translation>Mischt die Fassungen in jeder Runde neu, bei gleicher Lautheit.</translation>
    </message>
    <message>
        <source>Stop the test</source>
        <translation>Test abbrechen</translation>
    </message>
    <message>
        <source>Ends the comparison without a result.</source>
        <translation>Beendet den Vergleich ohne Ergebnis.</translation>
    </message>
    <message>
        <source>Plays this version at the song&apos;s position.</source>
        <translation>Spielt diese Fassung an der Position des Songs.</translation>
    </message>
    <message>
        <source>Votes for this version and starts the next round.</source>
        <translation>Stimmt für diese Fassung und beginnt die nächste Runde.</translation>
    </message>
    <message>
        <source>Round %1 of %2: listen as often as you like, then vote for the best. Names are hidden; look away from the meters.</source>
        <translation>Runde %1 von %2: Höre so oft du willst, dann stimme für die beste. Namen sind verdeckt; schau nicht auf die Pegelanzeigen.</translation>
    </message>
    <message>
        <source>Choose one or two recordings below. The mix is always one of the versions.</source>
        <translation>Wähle unten eine oder zwei Aufnahmen. Der Mix ist immer eine der Fassungen.</translation>
    </message>
    <message numerus="yes">
        <source>%1, %n round(s): %2. By chance one version gets that many votes in %3 % of such comparisons: you heard the difference.</source>
        <translation>
            <numerusform>%1, %n Runde: %2. Durch Zufall bekommt eine Fassung in %3 % solcher Vergleiche so viele Stimmen: Du hast den Unterschied gehört.</numerusform>
            <numerusform>%1, %n Runden: %2. Durch Zufall bekommt eine Fassung in %3 % solcher Vergleiche so viele Stimmen: Du hast den Unterschied gehört.</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <source>%1, %n round(s): %2. By chance one version gets that many votes in %3 % of such comparisons: the result proves little.</source>
        <translation>
            <numerusform>%1, %n Runde: %2. Durch Zufall bekommt eine Fassung in %3 % solcher Vergleiche so viele Stimmen: Das Ergebnis beweist wenig.</numerusform>
            <numerusform>%1, %n Runden: %2. Durch Zufall bekommt eine Fassung in %3 % solcher Vergleiche so viele Stimmen: Das Ergebnis beweist wenig.</numerusform>
        </translation>
    </message>
    <message>
        <source>rounds</source>
        <translation>Runden</translation>
    </message>
    <message>
        <source>%1 against %2</source>
        <translation>%1 gegen %2</translation>
    </message>
    <message>
        <source>The number of rounds. More rounds make the result more certain; 8 are a good start.</source>
        <translation>Die Zahl der Runden. Mehr Runden machen das Ergebnis sicherer; 8 sind ein guter Anfang.</translation>
    </message>
</context>
<context>
    <name>isotonus::BuildUpPage</name>
    <message>
        <source>Order of the build-up</source>
        <translation>Reihenfolge des Aufbaus</translation>
    </message>
    <message>
        <source>Back</source>
        <translation>Zurück</translation>
    </message>
    <message>
        <source>Next track</source>
        <translation>Nächste Spur</translation>
    </message>
    <message>
        <source>Order of the anchors</source>
        <translation>Reihenfolge der Anker</translation>
    </message>
    <message>
        <source>Earlier</source>
        <translation>Früher</translation>
    </message>
    <message>
        <source>Later</source>
        <translation>Später</translation>
    </message>
    <message>
        <source>Build-up: %1</source>
        <translation>Aufbau: %1</translation>
    </message>
    <message>
        <source>Build-up: done</source>
        <translation>Aufbau: fertig</translation>
    </message>
    <message>
        <source>Fader %1 %2</source>
        <translation>Fader %1 %2</translation>
    </message>
    <message>
        <source>All faders at their suggested levels</source>
        <translation>Alle Fader auf ihren Vorschlägen</translation>
    </message>
    <message>
        <source>Bring the tracks up one at a time.</source>
        <translation>Hole die Spuren eine nach der anderen hoch.</translation>
    </message>
    <message>
        <source>Next: %1</source>
        <translation>Weiter: %1</translation>
    </message>
    <message>
        <source>Done</source>
        <translation>Fertig</translation>
    </message>
    <message>
        <source>%1 of %2: %3</source>
        <translation>%1 von %2: %3</translation>
    </message>
    <message>
        <source>An anchor: loud and clear of the others. Start at %1.</source>
        <translation>Ein Anker: laut und frei von den anderen. Beginne bei %1.</translation>
    </message>
    <message>
        <source>Nothing is heard yet.</source>
        <translation>Noch ist nichts zu hören.</translation>
    </message>
    <message>
        <source>Beat: kick, bass, snare, hats, melody, the rest</source>
        <translation>Beat: Kick, Bass, Snare, Hats, Melodie, der Rest</translation>
    </message>
    <message>
        <source>Band: kit, bass, keys and guitars, voices</source>
        <translation>Band: Schlagzeug, Bass, Tasten und Gitarren, Stimmen</translation>
    </message>
    <message>
        <source>Anchors first</source>
        <translation>Anker zuerst</translation>
    </message>
    <message>
        <source>From silence, track by track</source>
        <translation>Aus der Stille, Spur für Spur</translation>
    </message>
    <message>
        <source>Own order: the selected tracks first</source>
        <translation>Eigene: die ausgewählten Spuren zuerst</translation>
    </message>
    <message>
        <source>Mute everything and start</source>
        <translation>Alles stumm und beginnen</translation>
    </message>
    <message>
        <source>Apply the suggested level</source>
        <translation>Vorgeschlagenen Pegel übernehmen</translation>
    </message>
    <message>
        <source>Close</source>
        <translation>Schließen</translation>
    </message>
    <message>
        <source>Set all to their suggested levels</source>
        <translation>Alle auf ihre Vorschläge</translation>
    </message>
    <message>
        <source>Everything is muted; each step brings one track in. Your settings stay, and you can stop at any time.</source>
        <translation>Alles ist stumm; jeder Schritt holt eine Spur dazu. Deine Einstellungen bleiben, und du kannst jederzeit aufhören.</translation>
    </message>
    <message>
        <source>Against the anchors, start at %1; then set it by ear.</source>
        <translation>Beginne gegen die Anker bei %1; dann nach Gehör.</translation>
    </message>
    <message>
        <source>Raise it from silence until you just hear it. It often ends around %1.</source>
        <translation>Hole sie aus der Stille, bis du sie gerade hörst. Oft endet sie um %1.</translation>
    </message>
    <message>
        <source>The song peaks at %1: %2 above its window.</source>
        <translation>Der Spitzenpegel des Songs ist %1: %2 über dem Fenster.</translation>
    </message>
    <message>
        <source>The song peaks at %1: %2 of headroom left in its window.</source>
        <translation>Der Spitzenpegel des Songs ist %1: %2 Luft im Fenster.</translation>
    </message>
    <message>
        <source>The order in which the tracks come in. A beat starts with the kick, a band with the kit.</source>
        <translation>Die Reihenfolge, in der die Spuren dazukommen. Ein Beat beginnt mit der Kick, eine Band mit dem Schlagzeug.</translation>
    </message>
    <message>
        <source>Mutes all tracks and brings in the first one.</source>
        <translation>Schaltet alle Spuren stumm und holt die erste dazu.</translation>
    </message>
    <message>
        <source>Mutes this track again and returns to the one before.</source>
        <translation>Schaltet diese Spur wieder stumm und kehrt zur vorigen zurück.</translation>
    </message>
    <message>
        <source>Brings in the next track.</source>
        <translation>Holt die nächste Spur dazu.</translation>
    </message>
    <message>
        <source>Sets the fader to the suggested level.</source>
        <translation>Stellt den Fader auf den vorgeschlagenen Pegel.</translation>
    </message>
    <message>
        <source>Ends the build-up. Faders stay as they are.</source>
        <translation>Beendet den Aufbau. Die Fader bleiben, wie sie sind.</translation>
    </message>
    <message>
        <source>Sets every fader to its suggested level at once.</source>
        <translation>Stellt jeden Fader sofort auf seinen Vorschlag.</translation>
    </message>
</context>
<context>
    <name>isotonus::BusBlock</name>
    <message>
        <source>Unfold: %1</source>
        <translation>Aufklappen: %1</translation>
    </message>
    <message>
        <source>Fold: %1</source>
        <translation>Zuklappen: %1</translation>
    </message>
    <message>
        <source>Buses</source>
        <translation>Busse</translation>
    </message>
    <message>
        <source>Returns</source>
        <translation>Returns</translation>
    </message>
    <message>
        <source>Control groups</source>
        <translation>Gruppen</translation>
    </message>
    <message>
        <source>Main output</source>
        <translation>Summe</translation>
    </message>
</context>
<context>
    <name>isotonus::BusHead</name>
    <message>
        <source>(Shift+F%1)</source>
        <translation>(Umschalt+F%1)</translation>
    </message>
    <message>
        <source>Mute %1</source>
        <translation>%1 stumm</translation>
    </message>
    <message>
        <source>Solo %1</source>
        <translation>Solo %1</translation>
    </message>
    <message>
        <source>main output</source>
        <translation>Summe</translation>
    </message>
    <message>
        <source>Hear %1 alone</source>
        <translation>%1 allein hören</translation>
    </message>
    <message>
        <source>Rename</source>
        <translation>Umbenennen</translation>
    </message>
    <message>
        <source>Rename %1 to %2</source>
        <translation>%1 in %2 umbenennen</translation>
    </message>
    <message>
        <source>Rename…</source>
        <translation>Umbenennen…</translation>
    </message>
    <message>
        <source>Trim %1…</source>
        <translation>Trim %1…</translation>
    </message>
    <message>
        <source>Trim of the bus</source>
        <translation>Trim des Busses</translation>
    </message>
    <message>
        <source>dB, −24 … +24</source>
        <translation>dB, −24 … +24</translation>
    </message>
    <message>
        <source>Trim of the bus %1</source>
        <translation>Trim des Busses %1</translation>
    </message>
    <message>
        <source>Members of the group</source>
        <translation>Mitglieder der Gruppe</translation>
    </message>
    <message>
        <source>All other faders down by…</source>
        <translation>Alle anderen Fader tiefer um…</translation>
    </message>
    <message>
        <source>Hear</source>
        <translation>Hören</translation>
    </message>
    <message>
        <source>Plays these tracks alone; a second click returns. The settings say whether the rest is silent or dimmed. Exports stay as they are.</source>
        <translation>Spielt diese Spuren allein; ein zweiter Klick kehrt zurück. Die Einstellungen sagen, ob der Rest still oder gedämpft ist. Exporte bleiben, wie sie sind.</translation>
    </message>
    <message>
        <source>whole mix</source>
        <translation>ganzer Mix</translation>
    </message>
    <message numerus="yes">
        <source>return of %n track(s)</source>
        <translation>
            <numerusform>Return von %n Spur</numerusform>
            <numerusform>Return von %n Spuren</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <source>bus of %n track(s)</source>
        <translation>
            <numerusform>Bus von %n Spur</numerusform>
            <numerusform>Bus von %n Spuren</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <source>group of %n track(s)</source>
        <translation>
            <numerusform>Gruppe von %n Spur</numerusform>
            <numerusform>Gruppe von %n Spuren</numerusform>
        </translation>
    </message>
    <message>
        <source>%1, output %2</source>
        <translation>%1, Ausgang %2</translation>
    </message>
    <message>
        <source>Select its tracks</source>
        <translation>Zugehörige Spuren auswählen</translation>
    </message>
    <message>
        <source>Colour</source>
        <translation>Farbe</translation>
    </message>
    <message>
        <source>Colour %1</source>
        <translation>Farbe %1</translation>
    </message>
    <message>
        <source>Add the selected tracks</source>
        <translation>Die ausgewählten Spuren hinzufügen</translation>
    </message>
    <message>
        <source>Output</source>
        <translation>Ausgang</translation>
    </message>
    <message>
        <source>Main output</source>
        <translation>Summe</translation>
    </message>
    <message>
        <source>Make the selected tracks its members</source>
        <translation>Die ausgewählten Spuren zu Mitgliedern machen</translation>
    </message>
    <message>
        <source>Remove; the tracks stay</source>
        <translation>Entfernen; die Spuren bleiben</translation>
    </message>
    <message>
        <source>Name</source>
        <translation>Name</translation>
    </message>
    <message>
        <source>Mute: the tracks of this channel are neither heard nor exported through it.</source>
        <translation>Mute: Die Spuren dieses Kanals sind durch ihn weder zu hören noch im Export.</translation>
    </message>
    <message>
        <source>Solo: only soloed channels are heard. Use it to find a fault.</source>
        <translation>Solo: Nur Solokanäle sind zu hören. Zum Suchen eines Fehlers.</translation>
    </message>
    <message>
        <source>All tracks that play through it, also by a send.</source>
        <translation>Alle Spuren, die durch ihn spielen, auch über einen Send.</translation>
    </message>
    <message>
        <source>Makes it louder against the rest without using headroom.</source>
        <translation>Macht ihn lauter gegen den Rest, ohne Headroom zu verbrauchen.</translation>
    </message>
    <message>
        <source>Gain into the chain of the bus. Lower it if the chain is driven too hard.</source>
        <translation>Gain in die Kette des Busses. Senken, wenn die Kette zu heiß angefahren wird.</translation>
    </message>
    <message>
        <source>The selected tracks play through this bus.</source>
        <translation>Die ausgewählten Spuren spielen durch diesen Bus.</translation>
    </message>
    <message>
        <source>Where the bus plays: straight to the main output, or through another bus.</source>
        <translation>Wohin der Bus spielt: direkt zur Summe oder durch einen anderen Bus.</translation>
    </message>
    <message>
        <source>Members that are not selected leave the group.</source>
        <translation>Mitglieder, die nicht ausgewählt sind, verlassen die Gruppe.</translation>
    </message>
    <message>
        <source>The tracks play on without it.</source>
        <translation>Die Spuren spielen ohne ihn weiter.</translation>
    </message>
</context>
<context>
    <name>isotonus::BusLane</name>
    <message>
        <source>%1 peaks at %2 with its fader at +12 dB.</source>
        <translation>%1 hat mit dem Fader auf +12 dB eine Spitze von %2.</translation>
    </message>
    <message>
        <source>%1 %2 %3</source>
        <translation>%1 %2 %3</translation>
    </message>
    <message>
        <source>%1; whole-song peak after the fader %2.</source>
        <translation>%1; Spitzenpegel des Songs nach dem Fader %2.</translation>
    </message>
    <message numerus="yes">
        <source>%1, a return: %n track(s) send to it; fader %2</source>
        <translation>
            <numerusform>%1, ein Return: %n Spur sendet dorthin; Fader %2</numerusform>
            <numerusform>%1, ein Return: %n Spuren senden dorthin; Fader %2</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <source>%1, a bus: sums %n track(s); fader %2</source>
        <translation>
            <numerusform>%1, ein Bus: summiert %n Spur; Fader %2</numerusform>
            <numerusform>%1, ein Bus: summiert %n Spuren; Fader %2</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <source>%1, a group: moves %n track(s) by %2</source>
        <translation>
            <numerusform>%1, eine Gruppe: bewegt %n Spur um %2</numerusform>
            <numerusform>%1, eine Gruppe: bewegt %n Spuren um %2</numerusform>
        </translation>
    </message>
</context>
<context>
    <name>isotonus::ChangesPage</name>
    <message>
        <source>Back to %1</source>
        <translation>Zurück zu %1</translation>
    </message>
    <message>
        <source>Since %1 (%2):</source>
        <translation>Seit %1 (%2):</translation>
    </message>
    <message>
        <source>Changes since the print</source>
        <translation>Änderungen seit dem Zwischenstand</translation>
    </message>
    <message>
        <source>Channel</source>
        <translation>Kanal</translation>
    </message>
    <message>
        <source>Changes</source>
        <translation>Änderungen</translation>
    </message>
    <message>
        <source>Restore this channel</source>
        <translation>Diesen Kanal wiederherstellen</translation>
    </message>
    <message>
        <source>Restores this channel as it was at the print, in one undo step.</source>
        <translation>Stellt diesen Kanal wie beim Zwischenstand her, in einem Schritt zum Rückgängigmachen.</translation>
    </message>
    <message>
        <source>Restore everything</source>
        <translation>Alles wiederherstellen</translation>
    </message>
    <message>
        <source>Restores the whole sound as it was at the print. Notes, targets and sections stay.</source>
        <translation>Stellt den ganzen Klang wie beim Zwischenstand her. Notizen, Ziele und Abschnitte bleiben.</translation>
    </message>
    <message>
        <source>Choose a print below to see what has changed since.</source>
        <translation>Wähle unten einen Zwischenstand, um die Änderungen seither zu sehen.</translation>
    </message>
    <message>
        <source>No audible change since %1.</source>
        <translation>Keine hörbare Änderung seit %1.</translation>
    </message>
    <message>
        <source>Restore %1</source>
        <translation>%1 wiederherstellen</translation>
    </message>
    <message>
        <source>The track, bus or main output that has changed.</source>
        <translation>Die Spur, der Bus oder die Summe mit der Änderung.</translation>
    </message>
    <message>
        <source>What differs between the print and now.</source>
        <translation>Was sich zwischen Zwischenstand und jetzt unterscheidet.</translation>
    </message>
</context>
<context>
    <name>isotonus::CheckList</name>
    <message>
        <source>Level</source>
        <translation>Pegel</translation>
    </message>
    <message>
        <source>Files</source>
        <translation>Dateien</translation>
    </message>
    <message>
        <source>Routing</source>
        <translation>Routing</translation>
    </message>
    <message>
        <source>%1 %</source>
        <translation>%1 %</translation>
    </message>
    <message>
        <source>%1 s</source>
        <translation>%1 s</translation>
    </message>
    <message>
        <source>Start and end</source>
        <translation>Anfang und Ende</translation>
    </message>
    <message>
        <source>Fold passed checks</source>
        <translation>Bestandene einklappen</translation>
    </message>
    <message numerus="yes">
        <source>%n more passed</source>
        <translation>
            <numerusform>%n weitere bestanden</numerusform>
            <numerusform>%n weitere bestanden</numerusform>
        </translation>
    </message>
</context>
<context>
    <name>isotonus::ClipEditor</name>
    <message>
        <source>clip %1 of %2, gain %3</source>
        <translation>Clip %1 von %2, Gain %3</translation>
    </message>
    <message>
        <source>Move a clip of %1</source>
        <translation>Clip von %1 verschieben</translation>
    </message>
    <message>
        <source>Trim a clip of %1</source>
        <translation>Clip von %1 kürzen</translation>
    </message>
    <message>
        <source>Fade in a clip of %1</source>
        <translation>Clip von %1 einblenden</translation>
    </message>
    <message>
        <source>Fade out a clip of %1</source>
        <translation>Clip von %1 ausblenden</translation>
    </message>
    <message>
        <source>Clip gain %1 %2</source>
        <translation>Clip-Gain %1 %2</translation>
    </message>
    <message>
        <source>Clip gain %1 0 dB</source>
        <translation>Clip-Gain %1 0 dB</translation>
    </message>
    <message>
        <source>no file, no clips</source>
        <translation>keine Datei, keine Clips</translation>
    </message>
    <message>
        <source>Clips of the selected track</source>
        <translation>Clips der ausgewählten Spur</translation>
    </message>
    <message>
        <source>Drag to move the clip in time.</source>
        <translation>Ziehen verschiebt den Clip in der Zeit.</translation>
    </message>
    <message>
        <source>Drag to trim the clip at this end. Drag back to restore what was cut away.</source>
        <translation>Ziehen kürzt den Clip an diesem Ende. Zurückziehen holt Abgeschnittenes wieder.</translation>
    </message>
    <message>
        <source>Drag to change the length of the fade.</source>
        <translation>Ziehen ändert die Länge der Blende.</translation>
    </message>
    <message>
        <source>Drag up or down for the clip&apos;s gain; double click resets it to 0 dB. Shift and drag marks a stretch.</source>
        <translation>Ziehen nach oben oder unten ändert den Gain des Clips; Doppelklick setzt ihn auf 0 dB. Umschalt und Ziehen markiert einen Bereich.</translation>
    </message>
    <message>
        <source>No clip plays here. X splits a clip at the playhead.</source>
        <translation>Hier spielt kein Clip. X teilt einen Clip an der Abspielposition.</translation>
    </message>
    <message>
        <source>Select a track to see its clips.</source>
        <translation>Wähle eine Spur, um ihre Clips zu sehen.</translation>
    </message>
</context>
<context>
    <name>isotonus::ClipPanel</name>
    <message>
        <source>Split</source>
        <translation>Teilen</translation>
    </message>
    <message>
        <source>+1 dB</source>
        <translation>+1 dB</translation>
    </message>
    <message>
        <source>Clip gain %1</source>
        <translation>Clip-Gain %1</translation>
    </message>
    <message>
        <source>−1 dB</source>
        <translation>−1 dB</translation>
    </message>
    <message>
        <source>Fade in</source>
        <translation>Einblenden</translation>
    </message>
    <message>
        <source>Fade out</source>
        <translation>Ausblenden</translation>
    </message>
    <message>
        <source>Remove</source>
        <translation>Entfernen</translation>
    </message>
    <message>
        <source>Remove a clip</source>
        <translation>Clip entfernen</translation>
    </message>
    <message>
        <source>Whole file</source>
        <translation>Ganze Datei</translation>
    </message>
    <message>
        <source>Hear</source>
        <translation>Hören</translation>
    </message>
    <message>
        <source>Fade in a clip</source>
        <translation>Clip einblenden</translation>
    </message>
    <message>
        <source>Fade out a clip</source>
        <translation>Clip ausblenden</translation>
    </message>
    <message>
        <source>Whole file %1</source>
        <translation>Ganze Datei %1</translation>
    </message>
    <message>
        <source>Fades…</source>
        <translation>Fades…</translation>
    </message>
    <message>
        <source>Fades of the clip</source>
        <translation>Fades des Clips</translation>
    </message>
    <message>
        <source>fade in, ms</source>
        <translation>Fade-in, ms</translation>
    </message>
    <message>
        <source>fade out, ms</source>
        <translation>Fade-out, ms</translation>
    </message>
    <message>
        <source>Fades of a clip</source>
        <translation>Fades eines Clips</translation>
    </message>
    <message>
        <source>Splits the clip at the playhead; the sound stays the same. (X)</source>
        <translation>Teilt den Clip an der Abspielposition; der Klang bleibt gleich. (X)</translation>
    </message>
    <message>
        <source>Silences the marked stretch of the song map, with short fades. Use it for a cough or a click.</source>
        <translation>Macht den in der Songkarte markierten Bereich still, mit kurzen Blenden. Für ein Husten oder einen Klick.</translation>
    </message>
    <message>
        <source>Makes the selected clip louder. Use it for a passage that is far too quiet.</source>
        <translation>Macht den ausgewählten Clip lauter. Für eine Passage, die viel zu leise ist.</translation>
    </message>
    <message>
        <source>Makes the selected clip quieter.</source>
        <translation>Macht den ausgewählten Clip leiser.</translation>
    </message>
    <message>
        <source>Fades the selected clip in, up to the playhead.</source>
        <translation>Blendet den ausgewählten Clip bis zur Abspielposition ein.</translation>
    </message>
    <message>
        <source>Fades the selected clip out, from the playhead on.</source>
        <translation>Blendet den ausgewählten Clip ab der Abspielposition aus.</translation>
    </message>
    <message>
        <source>Sets the lengths of the selected clip&apos;s fades by figures.</source>
        <translation>Setzt die Längen der Blenden des ausgewählten Clips in Zahlen.</translation>
    </message>
    <message>
        <source>Removes the selected clip. Undo restores it.</source>
        <translation>Entfernt den ausgewählten Clip. Rückgängig stellt ihn wieder her.</translation>
    </message>
    <message>
        <source>Removes all clips, so that the whole file plays.</source>
        <translation>Entfernt alle Clips, sodass die ganze Datei spielt.</translation>
    </message>
    <message>
        <source>no findings</source>
        <translation>keine Befunde</translation>
    </message>
    <message>
        <source>Plays the track alone, from %1.</source>
        <translation>Spielt die Spur allein, ab %1.</translation>
    </message>
    <message>
        <source>Fix</source>
        <translation>Beheben</translation>
    </message>
    <message>
        <source>Fixes the finding by a setting. The file stays as it is, and undo restores the setting.</source>
        <translation>Behebt den Befund durch eine Einstellung. Die Datei bleibt, wie sie ist; Rückgängig stellt die Einstellung wieder her.</translation>
    </message>
    <message>
        <source>Put the playhead inside the clip first: a fade reaches up to it.</source>
        <translation>Setze die Abspielposition zuerst in den Clip: Eine Blende reicht bis dorthin.</translation>
    </message>
    <message>
        <source>Cut out</source>
        <translation>Ausschneiden</translation>
    </message>
</context>
<context>
    <name>isotonus::CompareLane</name>
    <message>
        <source>of %1</source>
        <translation>von %1</translation>
    </message>
    <message>
        <source>in the mix</source>
        <translation>im Mix</translation>
    </message>
    <message>
        <source>%1 %</source>
        <translation>%1 %</translation>
    </message>
    <message>
        <source>nothing</source>
        <translation>nichts</translation>
    </message>
    <message>
        <source>not heard</source>
        <translation>nicht zu hören</translation>
    </message>
    <message>
        <source>no file</source>
        <translation>keine Datei</translation>
    </message>
    <message>
        <source>click a band to see which tracks make it</source>
        <translation>klicke ein Band an, um zu sehen, welche Spuren es bilden</translation>
    </message>
</context>
<context>
    <name>isotonus::ComparePanel</name>
    <message>
        <source>Heard</source>
        <translation>Gehört</translation>
    </message>
    <message>
        <source>Name</source>
        <translation>Name</translation>
    </message>
    <message>
        <source>Loudness</source>
        <translation>Lautheit</translation>
    </message>
    <message>
        <source>True peak</source>
        <translation>True Peak</translation>
    </message>
    <message>
        <source>Tie to this part of the song</source>
        <translation>Mit dieser Stelle des Songs verbinden</translation>
    </message>
    <message>
        <source>Untie</source>
        <translation>Trennen</translation>
    </message>
    <message>
        <source>Name…</source>
        <translation>Name…</translation>
    </message>
    <message>
        <source>Remove</source>
        <translation>Entfernen</translation>
    </message>
    <message>
        <source>Untie a passage</source>
        <translation>Passage trennen</translation>
    </message>
    <message>
        <source>Passage</source>
        <translation>Passage</translation>
    </message>
    <message>
        <source>Passage %1</source>
        <translation>Passage %1</translation>
    </message>
    <message>
        <source>Remove a passage</source>
        <translation>Passage entfernen</translation>
    </message>
    <message>
        <source>Tie a passage to %1</source>
        <translation>Passage mit %1 verbinden</translation>
    </message>
    <message>
        <source>Hear it</source>
        <translation>Hören</translation>
    </message>
    <message>
        <source>Add a reference…</source>
        <translation>Referenz hinzufügen…</translation>
    </message>
    <message>
        <source>References</source>
        <translation>Referenzen</translation>
    </message>
    <message>
        <source>Audio (*.wav *.aiff *.aif *.flac *.ogg *.opus *.mp3)</source>
        <translation>Audio (*.wav *.aiff *.aif *.flac *.ogg *.opus *.mp3)</translation>
    </message>
    <message>
        <source>Note…</source>
        <translation>Notiz…</translation>
    </message>
    <message>
        <source>Note</source>
        <translation>Notiz</translation>
    </message>
    <message>
        <source>Matched by loudness</source>
        <translation>In der Lautheit angeglichen</translation>
    </message>
    <message>
        <source>…</source>
        <translation>…</translation>
    </message>
    <message>
        <source>reference</source>
        <translation>Referenz</translation>
    </message>
    <message>
        <source>print</source>
        <translation>Zwischenstand</translation>
    </message>
    <message>
        <source>missing</source>
        <translation>fehlt</translation>
    </message>
    <message>
        <source>being read</source>
        <translation>wird gelesen</translation>
    </message>
    <message>
        <source>Recordings to compare with</source>
        <translation>Aufnahmen zum Vergleichen</translation>
    </message>
    <message>
        <source>Kind</source>
        <translation>Art</translation>
    </message>
    <message>
        <source>Sample peak</source>
        <translation>Spitzenpegel</translation>
    </message>
    <message>
        <source>Gain match</source>
        <translation>Angleichung</translation>
    </message>
    <message>
        <source>Date, note</source>
        <translation>Datum, Notiz</translation>
    </message>
    <message>
        <source>Frequencies</source>
        <translation>Frequenzen</translation>
    </message>
    <message>
        <source>Shows where the mix has too little or too much. Click a band to see which tracks make it.</source>
        <translation>Zeigt, wo der Mix zu wenig oder zu viel hat. Klicke ein Band an, um zu sehen, welche Spuren es bilden.</translation>
    </message>
    <message>
        <source>Loudness over time</source>
        <translation>Lautheit über die Zeit</translation>
    </message>
    <message>
        <source>Shows the mix and the recordings one below the other, with their passages. Tie a passage to compare it with a part of the song.</source>
        <translation>Zeigt den Mix und die Aufnahmen untereinander, mit ihren Passagen. Verbinde eine Passage, um sie mit einem Teil des Songs zu vergleichen.</translation>
    </message>
    <message>
        <source>Width by bands</source>
        <translation>Breite nach Bändern</translation>
    </message>
    <message>
        <source>Shows how wide each band is, and whether the low end is mono.</source>
        <translation>Zeigt, wie breit jedes Band ist und ob die Tiefen mono sind.</translation>
    </message>
    <message>
        <source>Since the print</source>
        <translation>Seit dem Zwischenstand</translation>
    </message>
    <message>
        <source>Lists what has changed since a print, and restores it channel by channel.</source>
        <translation>Listet, was sich seit einem Zwischenstand geändert hat, und stellt es Kanal für Kanal wieder her.</translation>
    </message>
    <message>
        <source>Listening notes</source>
        <translation>Hörnotizen</translation>
    </message>
    <message>
        <source>Lists your listening notes: what you noticed, where in the song, and on which system.</source>
        <translation>Listet deine Hörnotizen: was dir auffiel, wo im Song und auf welchem System.</translation>
    </message>
    <message>
        <source>Blind</source>
        <translation>Blind</translation>
    </message>
    <message>
        <source>Compares versions without their names, so that only your ears decide.</source>
        <translation>Vergleicht Fassungen ohne ihre Namen, damit nur die Ohren entscheiden.</translation>
    </message>
    <message>
        <source>Am I done?</source>
        <translation>Bin ich fertig?</translation>
    </message>
    <message>
        <source>Lists which parts of the job are done, and which are open.</source>
        <translation>Listet, welche Teile der Arbeit erledigt und welche offen sind.</translation>
    </message>
    <message>
        <source>Spectrum source</source>
        <translation>Spektrum von</translation>
    </message>
    <message>
        <source>Whole song</source>
        <translation>Ganzer Song</translation>
    </message>
    <message>
        <source>Live</source>
        <translation>Live</translation>
    </message>
    <message>
        <source>The part that spectra and widths are computed from: the whole song, the tied passages at the playhead, or the last second.</source>
        <translation>Der Teil, aus dem Spektren und Breiten berechnet werden: der ganze Song, die verbundenen Passagen an der Abspielposition oder die letzte Sekunde.</translation>
    </message>
    <message>
        <source>Compares the marked passage of the recording with the loop or section at the playhead. F6 switches between the two.</source>
        <translation>Vergleicht die markierte Passage der Aufnahme mit dem Loop oder Abschnitt an der Abspielposition. F6 wechselt zwischen beiden.</translation>
    </message>
    <message>
        <source>Ends the comparison with this part of the song. The passage stays marked.</source>
        <translation>Beendet den Vergleich mit dieser Stelle des Songs. Die Passage bleibt markiert.</translation>
    </message>
    <message>
        <source>Names the passage, for example &apos;chorus&apos;.</source>
        <translation>Benennt die Passage, zum Beispiel „Refrain“.</translation>
    </message>
    <message>
        <source>Removes the mark of the passage.</source>
        <translation>Entfernt die Markierung der Passage.</translation>
    </message>
    <message>
        <source>Plays the recording instead of the mix, and back. (F6; Ctrl+Shift+F6 from the start of the passage; Ctrl+F6 for the next recording)</source>
        <translation>Spielt die Aufnahme statt des Mixes, und zurück. (F6; Strg+Umschalt+F6 vom Anfang der Passage; Strg+F6 für die nächste Aufnahme)</translation>
    </message>
    <message>
        <source>Adds an audio file to compare with. It bypasses the faders of the mix.</source>
        <translation>Fügt eine Audiodatei zum Vergleichen hinzu. Sie läuft an den Fadern des Mixes vorbei.</translation>
    </message>
    <message>
        <source>From other sessions</source>
        <translation>Aus anderen Sitzungen</translation>
    </message>
    <message>
        <source>Adds a reference that you used in another session, with its passages and notes.</source>
        <translation>Fügt eine Referenz aus einer anderen Sitzung hinzu, mit ihren Passagen und Notizen.</translation>
    </message>
    <message>
        <source>Notes what this recording is.</source>
        <translation>Notiert, was diese Aufnahme ist.</translation>
    </message>
    <message>
        <source>Remove from the list</source>
        <translation>Aus der Liste entfernen</translation>
    </message>
    <message>
        <source>Removes the recording from the list. The file stays.</source>
        <translation>Entfernt die Aufnahme aus der Liste. Die Datei bleibt.</translation>
    </message>
    <message>
        <source>Loudness match</source>
        <translation>Lautheitsangleich</translation>
    </message>
    <message>
        <source>Tied passages</source>
        <translation>Verbundene Passagen</translation>
    </message>
    <message>
        <source>What the loudness match is computed from: both recordings as a whole, the two tied passages, or the last three seconds. If a recording would exceed 0 dBTP, both are lowered alike, for listening only.</source>
        <translation>Woraus der Lautheitsangleich berechnet wird: beide Aufnahmen im Ganzen, die zwei verbundenen Passagen oder die letzten drei Sekunden. Käme eine Aufnahme über 0 dBTP, werden beide gleich abgesenkt, nur beim Abhören.</translation>
    </message>
    <message>
        <source>no references yet; added references appear here</source>
        <translation>noch keine Referenzen; hinzugefügte erscheinen hier</translation>
    </message>
    <message>
        <source>Remove from this list</source>
        <translation>Aus dieser Liste entfernen</translation>
    </message>
    <message>
        <source>the current mix</source>
        <translation>der aktuelle Mix</translation>
    </message>
    <message>
        <source>You hear the mix. F6 switches without a gap, matched in loudness.</source>
        <translation>Du hörst den Mix. F6 wechselt ohne Lücke, in der Lautheit angeglichen.</translation>
    </message>
    <message>
        <source>A blind comparison runs: names are hidden here.</source>
        <translation>Ein Blindvergleich läuft: Namen sind hier verdeckt.</translation>
    </message>
    <message>
        <source>No recordings yet. Export the mix with &apos;Keep as a print&apos;, or add a reference.</source>
        <translation>Noch keine Aufnahmen. Exportiere den Mix mit „Als Zwischenstand“ oder füge eine Referenz hinzu.</translation>
    </message>
    <message>
        <source>You hear %1, matched to the mix&apos;s loudness. F6 returns to the mix.</source>
        <translation>Du hörst %1, auf die Lautheit des Mixes angeglichen. F6 kehrt zum Mix zurück.</translation>
    </message>
    <message>
        <source>%1 Monitoring is lowered by %2, because the matched recording would clip.</source>
        <translation>%1 Das Abhören ist um %2 abgesenkt, weil die angeglichene Aufnahme übersteuern würde.</translation>
    </message>
    <message>
        <source>Description of the recording</source>
        <translation>Beschreibung der Aufnahme</translation>
    </message>
    <message>
        <source>A dot marks the recording that plays now.</source>
        <translation>Ein Punkt markiert die Aufnahme, die gerade spielt.</translation>
    </message>
    <message>
        <source>The name of the recording. Double click to hear it.</source>
        <translation>Der Name der Aufnahme. Ein Doppelklick spielt sie.</translation>
    </message>
    <message>
        <source>A print is an export of this mix, a reference is a finished recording.</source>
        <translation>Ein Zwischenstand ist ein Export dieses Mixes, eine Referenz eine fertige Aufnahme.</translation>
    </message>
    <message>
        <source>The integrated loudness of the whole recording (LUFS).</source>
        <translation>Die integrierte Lautheit der ganzen Aufnahme (LUFS).</translation>
    </message>
    <message>
        <source>The peak of the wave between its samples.</source>
        <translation>Die Spitze der Welle zwischen ihren Samples.</translation>
    </message>
    <message>
        <source>The highest sample of the recording.</source>
        <translation>Das höchste Sample der Aufnahme.</translation>
    </message>
    <message>
        <source>How much the recording is raised or lowered to be as loud as the mix.</source>
        <translation>Um wie viel die Aufnahme angehoben oder abgesenkt wird, um so laut zu sein wie der Mix.</translation>
    </message>
    <message>
        <source>When the recording was made, and your note.</source>
        <translation>Wann die Aufnahme entstand, und deine Notiz.</translation>
    </message>
    <message>
        <source>The file stays on the disk.</source>
        <translation>Die Datei bleibt auf der Festplatte.</translation>
    </message>
</context>
<context>
    <name>isotonus::Comparison</name>
    <message>
        <source>Reference %1</source>
        <translation>Referenz %1</translation>
    </message>
    <message>
        <source>Print %1</source>
        <translation>Zwischenstand %1</translation>
    </message>
    <message>
        <source>Note on %1</source>
        <translation>Notiz zu %1</translation>
    </message>
    <message>
        <source>Remove %1 from the list</source>
        <translation>%1 aus der Liste entfernen</translation>
    </message>
</context>
<context>
    <name>isotonus::CorrelationPicture</name>
    <message>
        <source>Correlation against delay</source>
        <translation>Korrelation über die Verzögerung</translation>
    </message>
    <message>
        <source>highest at %1 ms</source>
        <translation>am höchsten bei %1 ms</translation>
    </message>
    <message>
        <source>in time</source>
        <translation>zeitgleich</translation>
    </message>
    <message>
        <source>%1 ms</source>
        <translation>%1 ms</translation>
    </message>
    <message>
        <source>correlation; right is later</source>
        <translation>Korrelation; rechts ist später</translation>
    </message>
</context>
<context>
    <name>isotonus::CoverPage</name>
    <message>
        <source>the song</source>
        <translation>der Song</translation>
    </message>
    <message>
        <source>not playing</source>
        <translation>spielt nicht</translation>
    </message>
    <message>
        <source>measuring the tracks: %1 %</source>
        <translation>die Spuren werden gemessen: %1 %</translation>
    </message>
    <message>
        <source>This track is not heard: it is muted, or its fader is off.</source>
        <translation>Diese Spur ist nicht zu hören: Sie ist stumm, oder ihr Fader ist zu.</translation>
    </message>
    <message>
        <source>%1: %2 % of its bands are heard above the rest, %3 % at the level of the quiet check. These tracks cover it and could go down:</source>
        <translation>%1: %2 % der Bänder sind über dem Rest zu hören, %3 % beim Pegel der Leiseprobe. Diese Spuren verdecken sie und könnten leiser werden:</translation>
    </message>
</context>
<context>
    <name>isotonus::Desk</name>
    <message>
        <source>1  Gather</source>
        <translation>1  Sammeln</translation>
    </message>
    <message>
        <source>2  Stage</source>
        <translation>2  Einpegeln</translation>
    </message>
    <message>
        <source>3  Balance</source>
        <translation>3  Balance</translation>
    </message>
    <message>
        <source>Drop a folder of audio files anywhere in this window</source>
        <translation>Lege einen Ordner mit Audiodateien irgendwo in diesem Fenster ab</translation>
    </message>
    <message>
        <source>Open the demo: the paper-boat festival</source>
        <translation>Demo öffnen: das Papierbootfest</translation>
    </message>
    <message>
        <source>Choose a folder…</source>
        <translation>Ordner wählen…</translation>
    </message>
    <message>
        <source>At the top right</source>
        <translation>Rechts oben</translation>
    </message>
    <message>
        <source>Isotonus reads and measures the files, and flags faults. The files themselves stay as they are.</source>
        <translation>Isotonus liest und misst die Dateien und markiert Fehler. Die Dateien selbst bleiben, wie sie sind.</translation>
    </message>
    <message>
        <source>Stage all (Ctrl+G) trims every track to its target level. Faders work best from there.</source>
        <translation>Alle einpegeln (Strg+G) trimmt jede Spur auf ihren Zielpegel. Von dort arbeiten Fader am besten.</translation>
    </message>
    <message>
        <source>Press All down, then raise the tracks, the most important first. On the right, the peak of the whole song is shown against its window.</source>
        <translation>Drücke Alle runter, dann hole die Spuren hoch, die wichtigste zuerst. Rechts steht der Spitzenpegel des ganzen Songs gegen sein Fenster.</translation>
    </message>
    <message>
        <source>On each track</source>
        <translation>In jeder Spur</translation>
    </message>
    <message>
        <source>M mutes the track. S solos it: only soloed tracks are heard. Hear, on a bus, plays the bus alone.</source>
        <translation>M macht die Spur stumm. S macht sie solo: nur Solospuren sind zu hören. Hören, an einem Bus, spielt den Bus allein.</translation>
    </message>
    <message>
        <source>Undo, redo and the menu: files, settings, the guide. F1 lists the keys. The line at the bottom explains what the pointer is on.</source>
        <translation>Rückgängig, Wiederherstellen und das Menü: Dateien, Einstellungen, Handbuch. F1 listet die Tasten. Die Zeile unten erklärt, worauf der Zeiger ist.</translation>
    </message>
    <message>
        <source>One file for each sound, exported from the program where the music was made. Each file becomes a track.</source>
        <translation>Eine Datei je Klang, exportiert aus dem Programm, in dem die Musik entstand. Jede Datei wird eine Spur.</translation>
    </message>
    <message>
        <source>Move tracks</source>
        <translation>Spuren verschieben</translation>
    </message>
</context>
<context>
    <name>isotonus::Document</name>
    <message>
        <source>Untitled</source>
        <translation>Unbenannt</translation>
    </message>
    <message>
        <source>%1 is not possible: %2</source>
        <translation>%1 ist nicht möglich: %2</translation>
    </message>
    <message>
        <source>Open the changed file</source>
        <translation>Geänderte Datei öffnen</translation>
    </message>
    <message>
        <source>Unsaved work cannot be kept for recovery: %1</source>
        <translation>Ungespeicherte Arbeit kann nicht für eine Wiederherstellung gesichert werden: %1</translation>
    </message>
</context>
<context>
    <name>isotonus::DonePage</name>
    <message>
        <source>Where</source>
        <translation>Wo</translation>
    </message>
    <message>
        <source>no tracks yet</source>
        <translation>noch keine Spuren</translation>
    </message>
    <message numerus="yes">
        <source>missing: %n file(s)</source>
        <translation>
            <numerusform>%n Datei fehlt</numerusform>
            <numerusform>%n Dateien fehlen</numerusform>
        </translation>
    </message>
    <message>
        <source>the mix peaks at %1, its window ends at %2</source>
        <translation>der Spitzenpegel des Mixes ist %1, sein Fenster endet bei %2</translation>
    </message>
    <message>
        <source>in mono</source>
        <translation>in Mono</translation>
    </message>
    <message>
        <source>at the quiet check&apos;s level</source>
        <translation>bei der Leiseprobe</translation>
    </message>
    <message>
        <source>no listening note is open</source>
        <translation>keine Hörnotiz ist offen</translation>
    </message>
    <message numerus="yes">
        <source>still open: %n listening note(s)</source>
        <translation>
            <numerusform>noch offen: %n Hörnotiz</numerusform>
            <numerusform>noch offen: %n Hörnotizen</numerusform>
        </translation>
    </message>
    <message>
        <source>Gather</source>
        <translation>Sammeln</translation>
    </message>
    <message>
        <source>Stage</source>
        <translation>Einpegeln</translation>
    </message>
    <message>
        <source>Balance</source>
        <translation>Balance</translation>
    </message>
    <message>
        <source>Shape</source>
        <translation>Formen</translation>
    </message>
    <message>
        <source>Ride</source>
        <translation>Fahren</translation>
    </message>
    <message>
        <source>Compare</source>
        <translation>Vergleichen</translation>
    </message>
    <message>
        <source>Hand off</source>
        <translation>Übergeben</translation>
    </message>
    <message>
        <source>Progress of the job</source>
        <translation>Stand der Arbeit</translation>
    </message>
    <message>
        <source>no file has an open finding</source>
        <translation>keine Datei hat offene Befunde</translation>
    </message>
    <message numerus="yes">
        <source>the files of %n track(s) have faults</source>
        <translation>
            <numerusform>die Datei von %n Spur hat Fehler</numerusform>
            <numerusform>die Dateien von %n Spuren haben Fehler</numerusform>
        </translation>
    </message>
    <message>
        <source>%1 of %2 tracks are staged into their windows</source>
        <translation>%1 von %2 Spuren sind in ihre Fenster eingepegelt</translation>
    </message>
    <message numerus="yes">
        <source>anchors set: %n</source>
        <translation>
            <numerusform>Anker gesetzt: %n</numerusform>
            <numerusform>Anker gesetzt: %n</numerusform>
        </translation>
    </message>
    <message>
        <source>no anchor is set: choose the tracks that the mix is built on</source>
        <translation>kein Anker gesetzt: wähle die Spuren, auf denen der Mix aufbaut</translation>
    </message>
    <message>
        <source>the peak of the mix is not known yet</source>
        <translation>der Spitzenpegel des Mixes ist noch nicht bekannt</translation>
    </message>
    <message>
        <source>every track is heard</source>
        <translation>jede Spur ist zu hören</translation>
    </message>
    <message>
        <source>audibility is being computed</source>
        <translation>die Hörbarkeit wird berechnet</translation>
    </message>
    <message numerus="yes">
        <source>hardly heard under the others: %n track(s)</source>
        <translation>
            <numerusform>unter den anderen kaum zu hören: %n Spur</numerusform>
            <numerusform>unter den anderen kaum zu hören: %n Spuren</numerusform>
        </translation>
    </message>
    <message>
        <source>heard %1, %2 s</source>
        <translation>%1 gehört, %2 s</translation>
    </message>
    <message>
        <source>not heard %1 yet</source>
        <translation>noch nicht %1 gehört</translation>
    </message>
    <message>
        <source>on a small system</source>
        <translation>auf einem kleinen System</translation>
    </message>
    <message>
        <source>the session has no reference</source>
        <translation>die Sitzung hat keine Referenz</translation>
    </message>
    <message>
        <source>a reference was played in the last hour</source>
        <translation>in der letzten Stunde lief eine Referenz</translation>
    </message>
    <message>
        <source>no reference was played in the last hour</source>
        <translation>in der letzten Stunde lief keine Referenz</translation>
    </message>
    <message>
        <source>the peaks of the exported mix are above the limits</source>
        <translation>die Spitzenpegel des exportierten Mixes liegen über den Grenzen</translation>
    </message>
    <message>
        <source>the exported mix is being measured</source>
        <translation>der exportierte Mix wird gemessen</translation>
    </message>
    <message>
        <source>the peaks of the exported mix are inside the limits; Hand off has the other checks</source>
        <translation>die Spitzenpegel des exportierten Mixes liegen in den Grenzen; die anderen Prüfungen stehen unter Übergeben</translation>
    </message>
    <message>
        <source>Go to %1</source>
        <translation>Zu %1</translation>
    </message>
    <message>
        <source>Part of the job</source>
        <translation>Teil der Arbeit</translation>
    </message>
    <message>
        <source>Each part of the job, done or open.</source>
        <translation>Jeder Teil der Arbeit, erledigt oder offen.</translation>
    </message>
    <message>
        <source>Click to go to the view in which it is done.</source>
        <translation>Ein Klick führt zur Ansicht, in der er erledigt wird.</translation>
    </message>
</context>
<context>
    <name>isotonus::Editing</name>
    <message>
        <source>Stage all</source>
        <translation>Alle einpegeln</translation>
    </message>
    <message>
        <source>Remove the DC offset of %1</source>
        <translation>DC-Versatz von %1 entfernen</translation>
    </message>
    <message>
        <source>Make %1 mono</source>
        <translation>%1 mono machen</translation>
    </message>
    <message>
        <source>Tame the spikes of %1</source>
        <translation>Ausreißer von %1 zähmen</translation>
    </message>
    <message>
        <source>Split %1 at %2</source>
        <translation>%1 bei %2 teilen</translation>
    </message>
    <message>
        <source>Mark the stretch to cut out first: Shift and drag on the song map.</source>
        <translation>Markiere zuerst den Bereich zum Herausschneiden: Umschalt und Ziehen in der Songkarte.</translation>
    </message>
    <message>
        <source>Cut %1 to %2 out of %3</source>
        <translation>%1 bis %2 aus %3 schneiden</translation>
    </message>
    <message>
        <source>Fader %1 %2</source>
        <translation>Fader %1 %2</translation>
    </message>
    <message>
        <source>%1 %2</source>
        <translation>%1 %2</translation>
    </message>
    <message>
        <source>%1 of %2</source>
        <translation>%1 von %2</translation>
    </message>
    <message>
        <source>Move a processor</source>
        <translation>Prozessor verschieben</translation>
    </message>
    <message>
        <source>Send %1 to %2</source>
        <translation>%1 nach %2 senden</translation>
    </message>
    <message>
        <source>bus %1</source>
        <translation>Bus %1</translation>
    </message>
    <message>
        <source>group %1</source>
        <translation>Gruppe %1</translation>
    </message>
    <message>
        <source>Remove the bus</source>
        <translation>Bus entfernen</translation>
    </message>
    <message>
        <source>Mirror pans</source>
        <translation>Pans spiegeln</translation>
    </message>
    <message>
        <source>All other faders %1</source>
        <translation>Alle anderen Fader %1</translation>
    </message>
    <message>
        <source>All mutes off</source>
        <translation>Alle Mutes aus</translation>
    </message>
    <message>
        <source>All solos off</source>
        <translation>Alle Solos aus</translation>
    </message>
    <message>
        <source>All trims to 0</source>
        <translation>Alle Trims auf 0</translation>
    </message>
    <message>
        <source>Stage without %1 … %2</source>
        <translation>Einpegeln ohne %1 … %2</translation>
    </message>
    <message>
        <source>Order of the anchors</source>
        <translation>Reihenfolge der Anker</translation>
    </message>
    <message>
        <source>section %1</source>
        <translation>Abschnitt %1</translation>
    </message>
    <message>
        <source>New section</source>
        <translation>Neuer Abschnitt</translation>
    </message>
    <message>
        <source>Section %1 at %2</source>
        <translation>Abschnitt %1 bei %2</translation>
    </message>
    <message>
        <source>Rename the section</source>
        <translation>Abschnitt umbenennen</translation>
    </message>
    <message>
        <source>Rename section to %1</source>
        <translation>Abschnitt in %1 umbenennen</translation>
    </message>
    <message>
        <source>Listening note</source>
        <translation>Hörnotiz</translation>
    </message>
    <message>
        <source>Note at %1</source>
        <translation>Notiz bei %1</translation>
    </message>
    <message>
        <source>Remove the note at %1</source>
        <translation>Notiz bei %1 entfernen</translation>
    </message>
    <message>
        <source>Remove tracks</source>
        <translation>Spuren entfernen</translation>
    </message>
    <message>
        <source>Mute %1</source>
        <translation>%1 stumm</translation>
    </message>
    <message>
        <source>Solo %1</source>
        <translation>Solo %1</translation>
    </message>
    <message>
        <source>Unmute %1</source>
        <translation>Mute von %1 aus</translation>
    </message>
    <message>
        <source>All other faders down</source>
        <translation>Alle anderen Fader tiefer</translation>
    </message>
    <message>
        <source>by, dB</source>
        <translation>um, dB</translation>
    </message>
    <message>
        <source>Left and right</source>
        <translation>Links und rechts</translation>
    </message>
    <message>
        <source>Make a stereo track</source>
        <translation>Eine Stereospur daraus machen</translation>
    </message>
    <message>
        <source>Pan them left and right</source>
        <translation>Nach links und rechts pannen</translation>
    </message>
    <message>
        <source>%1 and %2 each hold one channel of a stereo sound.</source>
        <translation>%1 und %2 enthalten je einen Kanal eines Stereoklangs.</translation>
    </message>
    <message>
        <source>Use the left channel of %1</source>
        <translation>Linken Kanal von %1 verwenden</translation>
    </message>
    <message>
        <source>Use the right channel of %1</source>
        <translation>Rechten Kanal von %1 verwenden</translation>
    </message>
    <message>
        <source>Swap left and right of %1</source>
        <translation>Links und rechts von %1 tauschen</translation>
    </message>
    <message>
        <source>The playhead is outside of the clips, at an edge, or in a fade. Move it inside a clip to split.</source>
        <translation>Die Abspielposition liegt außerhalb der Clips, an einer Kante oder in einer Blende. Setze sie zum Teilen in einen Clip.</translation>
    </message>
    <message>
        <source>%1 of %2 has automation, which is added to your setting. Use touch, latch or write to change the ride.</source>
        <translation>%1 von %2 hat Automation; sie wird zu deiner Einstellung addiert. Mit Touch, Latch oder Write änderst du die Automation.</translation>
    </message>
    <message>
        <source>%1 of %2 follows its automation: your setting is heard only when the ride is bypassed. Use touch, latch or write to change the ride.</source>
        <translation>%1 von %2 folgt der Automation: Deine Einstellung ist erst zu hören, wenn die Automation umgangen ist. Mit Touch, Latch oder Write änderst du die Automation.</translation>
    </message>
    <message>
        <source>%1 on</source>
        <translation>%1 an</translation>
    </message>
    <message>
        <source>%1 bypassed</source>
        <translation>%1 umgangen</translation>
    </message>
    <message numerus="yes">
        <source>Send %n track(s) to a new return &apos;%1&apos;</source>
        <translation>
            <numerusform>%n Spur an einen neuen Return „%1“ senden</numerusform>
            <numerusform>%n Spuren an einen neuen Return „%1“ senden</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <source>Bypass %n chain(s)</source>
        <translation>
            <numerusform>%n Kette umgehen</numerusform>
            <numerusform>%n Ketten umgehen</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <source>%n chain(s) on</source>
        <translation>
            <numerusform>%n Kette an</numerusform>
            <numerusform>%n Ketten an</numerusform>
        </translation>
    </message>
    <message>
        <source>Bypass all chains</source>
        <translation>Alle Ketten umgehen</translation>
    </message>
    <message>
        <source>All chains on</source>
        <translation>Alle Ketten an</translation>
    </message>
    <message numerus="yes">
        <source>Bus &apos;%1&apos; of %n track(s)</source>
        <translation>
            <numerusform>Bus „%1“ aus %n Spur</numerusform>
            <numerusform>Bus „%1“ aus %n Spuren</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <source>Group &apos;%1&apos; of %n track(s)</source>
        <translation>
            <numerusform>Gruppe „%1“ aus %n Spur</numerusform>
            <numerusform>Gruppe „%1“ aus %n Spuren</numerusform>
        </translation>
    </message>
    <message>
        <source>Output to %1</source>
        <translation>Ausgang nach %1</translation>
    </message>
    <message>
        <source>Remove the group</source>
        <translation>Gruppe entfernen</translation>
    </message>
    <message>
        <source>Select pairs of tracks: the second of each pair gets the pan of the first, mirrored.</source>
        <translation>Wähle Paare von Spuren: Die zweite bekommt das Panorama der ersten, gespiegelt.</translation>
    </message>
    <message>
        <source>Select several tracks first: their pans are spread evenly from left to right.</source>
        <translation>Wähle zuerst mehrere Spuren: Ihr Panorama wird gleichmäßig von links nach rechts verteilt.</translation>
    </message>
    <message numerus="yes">
        <source>Spread the pans of %n track(s)</source>
        <translation>
            <numerusform>Panorama von %n Spur verteilen</numerusform>
            <numerusform>Panorama von %n Spuren verteilen</numerusform>
        </translation>
    </message>
    <message>
        <source>Solo only %1</source>
        <translation>Nur %1 solo</translation>
    </message>
    <message>
        <source>Stage with the whole song</source>
        <translation>Mit dem ganzen Song einpegeln</translation>
    </message>
    <message>
        <source>Bypass the ride of %1</source>
        <translation>Automation von %1 umgehen</translation>
    </message>
    <message>
        <source>Ride of %1 on</source>
        <translation>Automation von %1 an</translation>
    </message>
    <message>
        <source>Name of the section at %1</source>
        <translation>Name des Abschnitts bei %1</translation>
    </message>
    <message>
        <source>Name</source>
        <translation>Name</translation>
    </message>
    <message>
        <source>Text of the note at %1</source>
        <translation>Text der Notiz bei %1</translation>
    </message>
    <message>
        <source>main output</source>
        <translation>Summe</translation>
    </message>
</context>
<context>
    <name>isotonus::ExportForm</name>
    <message>
        <source>Choose…</source>
        <translation>Wählen…</translation>
    </message>
    <message>
        <source>Main chain</source>
        <translation>Summenkette</translation>
    </message>
    <message>
        <source>Hand off %1</source>
        <translation>Übergabe %1</translation>
    </message>
    <message>
        <source>Stem names</source>
        <translation>Stem-Namen</translation>
    </message>
    <message>
        <source>WAV, 24 bit</source>
        <translation>WAV, 24 Bit</translation>
    </message>
    <message>
        <source>WAV, 16 bit</source>
        <translation>WAV, 16 Bit</translation>
    </message>
    <message>
        <source>WAV, 32 bit float</source>
        <translation>WAV, 32 Bit Gleitkomma</translation>
    </message>
    <message>
        <source>AIFF, 24 bit</source>
        <translation>AIFF, 24 Bit</translation>
    </message>
    <message>
        <source>AIFF, 16 bit</source>
        <translation>AIFF, 16 Bit</translation>
    </message>
    <message>
        <source>FLAC, 24 bit</source>
        <translation>FLAC, 24 Bit</translation>
    </message>
    <message>
        <source>FLAC, 16 bit</source>
        <translation>FLAC, 16 Bit</translation>
    </message>
    <message>
        <source>Ogg Vorbis</source>
        <translation>Ogg Vorbis</translation>
    </message>
    <message>
        <source>Opus</source>
        <translation>Opus</translation>
    </message>
    <message>
        <source>MP3</source>
        <translation>MP3</translation>
    </message>
    <message>
        <source>Rate</source>
        <translation>Rate</translation>
    </message>
    <message>
        <source>Range</source>
        <translation>Bereich</translation>
    </message>
    <message>
        <source>Broadcast Wave</source>
        <translation>Broadcast Wave</translation>
    </message>
    <message>
        <source>%1 kHz</source>
        <translation>%1 kHz</translation>
    </message>
    <message>
        <source>Export the mix as</source>
        <translation>Den Mix exportieren als</translation>
    </message>
    <message>
        <source>Audio (*.wav *.aiff *.flac *.ogg *.opus *.mp3)</source>
        <translation>Audio (*.wav *.aiff *.flac *.ogg *.opus *.mp3)</translation>
    </message>
    <message>
        <source>The mix and a stem of each track</source>
        <translation>Der Mix und ein Stem je Spur</translation>
    </message>
    <message>
        <source>The mix and a stem of each family</source>
        <translation>Der Mix und ein Stem je Familie</translation>
    </message>
    <message>
        <source>The mix and a stem of each bus</source>
        <translation>Der Mix und ein Stem je Bus</translation>
    </message>
    <message>
        <source>The mix and a stem of each group</source>
        <translation>Der Mix und ein Stem je Gruppe</translation>
    </message>
    <message>
        <source>Stems of the tracks only</source>
        <translation>Nur Stems der Spuren</translation>
    </message>
    <message>
        <source>Stems of the families only</source>
        <translation>Nur Stems der Familien</translation>
    </message>
    <message>
        <source>Stems of the buses only</source>
        <translation>Nur Stems der Busse</translation>
    </message>
    <message>
        <source>Stems of the groups only</source>
        <translation>Nur Stems der Gruppen</translation>
    </message>
    <message>
        <source>Save to</source>
        <translation>Speichern in</translation>
    </message>
    <message>
        <source>Main chain bypassed</source>
        <translation>Summenkette umgangen</translation>
    </message>
    <message>
        <source>Main chain on</source>
        <translation>Summenkette an</translation>
    </message>
    <message>
        <source>Both versions</source>
        <translation>Beide Fassungen</translation>
    </message>
    <message>
        <source>Whether the mix is exported with the main chain. Mastering usually needs it without, because limiting cannot be undone. Stems never contain the main chain.</source>
        <translation>Ob der Mix mit der Summenkette exportiert wird. Mastering braucht ihn meist ohne, denn Limiting lässt sich nicht zurücknehmen. Stems enthalten die Summenkette nie.</translation>
    </message>
    <message>
        <source>Pattern for the names of the stems: {session} {part} {number} {section} {date} {rate} {bits} are replaced by their values.</source>
        <translation>Muster für die Namen der Stems: {session} {part} {number} {section} {date} {rate} {bits} werden durch ihre Werte ersetzt.</translation>
    </message>
    <message>
        <source>Format</source>
        <translation>Format</translation>
    </message>
    <message>
        <source>Stems before the main fader</source>
        <translation>Stems vor dem Summenfader</translation>
    </message>
    <message>
        <source>Exports stems without the main fader and the rides of the main output. Use it when mastering sets the level.</source>
        <translation>Exportiert Stems ohne den Summenfader und die Automation der Summe. Wenn das Mastering den Pegel setzt.</translation>
    </message>
    <message>
        <source>Returns in the stems</source>
        <translation>Returns in den Stems</translation>
    </message>
    <message>
        <source>Adds the reverbs and effects of a track to its stem. If off, returns and buses with chains get stems of their own.</source>
        <translation>Nimmt Hall und Effekte einer Spur in ihren Stem auf. Ist es aus, bekommen Returns und Busse mit Ketten eigene Stems.</translation>
    </message>
    <message>
        <source>With the tail</source>
        <translation>Mit Ausklang</translation>
    </message>
    <message>
        <source>Exports a section or loop until its sound has faded to silence.</source>
        <translation>Exportiert einen Abschnitt oder Loop, bis er verklungen ist.</translation>
    </message>
    <message>
        <source>Writes date, position in the song and loudness into the file (EBU Tech 3285).</source>
        <translation>Schreibt Datum, Position im Song und Lautheit in die Datei (EBU Tech 3285).</translation>
    </message>
    <message>
        <source>Hand-off sheet</source>
        <translation>Begleitblatt</translation>
    </message>
    <message>
        <source>Writes figures, checks, notes and the recall list as PDF, JSON and text, and checksums.</source>
        <translation>Schreibt Werte, Prüfungen, Notizen und Einstellungen als PDF, JSON und Text, dazu Prüfsummen.</translation>
    </message>
    <message>
        <source>Keep as a print</source>
        <translation>Als Zwischenstand</translation>
    </message>
    <message>
        <source>Keeps the session of today beside the exported mix. Compare shows what has changed since, and restores it.</source>
        <translation>Behält die heutige Sitzung neben dem exportierten Mix. Vergleichen zeigt, was sich seither geändert hat, und stellt es wieder her.</translation>
    </message>
    <message>
        <source>Dither</source>
        <translation>Dither</translation>
    </message>
    <message>
        <source>Adds TPDF noise of ±1 LSB when the mix is reduced to 16 or 24 bit. Without it, the mix is rounded.</source>
        <translation>Fügt TPDF-Rauschen von ±1 LSB hinzu, wenn der Mix auf 16 oder 24 Bit reduziert wird. Ohne wird gerundet.</translation>
    </message>
    <message>
        <source>Whole song</source>
        <translation>Ganzer Song</translation>
    </message>
    <message>
        <source>Loop, %1 to %2</source>
        <translation>Loop, %1 bis %2</translation>
    </message>
    <message>
        <source>Each section as a file</source>
        <translation>Jeder Abschnitt als Datei</translation>
    </message>
    <message>
        <source>Section %1, %2</source>
        <translation>Abschnitt %1, %2</translation>
    </message>
    <message>
        <source>The mix</source>
        <translation>Der Mix</translation>
    </message>
    <message>
        <source>The file of the mix. The stems are written into the same folder.</source>
        <translation>Die Datei des Mixes. Die Stems kommen in denselben Ordner.</translation>
    </message>
    <message>
        <source>Chooses folder and name of the mix.</source>
        <translation>Wählt Ordner und Namen des Mixes.</translation>
    </message>
    <message>
        <source>What is exported. A mastering engineer usually needs the mix; stems when somebody goes on mixing.</source>
        <translation>Was exportiert wird. Mastering braucht meist den Mix; Stems, wenn jemand weitermischt.</translation>
    </message>
    <message>
        <source>The format of the files. 24 bit WAV for mastering, MP3 only to send round.</source>
        <translation>Das Format der Dateien. WAV mit 24 Bit fürs Mastering, MP3 nur zum Herumschicken.</translation>
    </message>
    <message>
        <source>The sample rate of the files. Keep the rate of the session for mastering.</source>
        <translation>Die Samplerate der Dateien. Behalte fürs Mastering die Rate der Sitzung.</translation>
    </message>
    <message>
        <source>The part of the song that is exported: all of it, the loop, or sections.</source>
        <translation>Der Teil des Songs, der exportiert wird: alles, der Loop oder Abschnitte.</translation>
    </message>
    <message>
        <source>Contents</source>
        <translation>Inhalt</translation>
    </message>
</context>
<context>
    <name>isotonus::ExportQueue</name>
    <message>
        <source>Not exported: %1</source>
        <translation>Nicht exportiert: %1</translation>
    </message>
    <message>
        <source>all</source>
        <translation>alle</translation>
    </message>
    <message>
        <source>the stems sum to the mix exactly</source>
        <translation>die Stems ergeben genau den Mix</translation>
    </message>
    <message>
        <source>Cancelled. No file was written.</source>
        <translation>Abgebrochen. Keine Datei wurde geschrieben.</translation>
    </message>
    <message>
        <source>%1 was written</source>
        <translation>%1 wurde geschrieben</translation>
    </message>
    <message numerus="yes">
        <source>%n file(s) written, with %1</source>
        <translation>
            <numerusform>%n Datei geschrieben, mit %1</numerusform>
            <numerusform>%n Dateien geschrieben, mit %1</numerusform>
        </translation>
    </message>
    <message>
        <source>%1, sample peak %2 (headroom %3), true peak %4, loudness %5</source>
        <translation>%1, Spitzenpegel %2 (Headroom %3), True Peak %4, Lautheit %5</translation>
    </message>
    <message>
        <source>verified: level and length are right</source>
        <translation>geprüft: Pegel und Länge stimmen</translation>
    </message>
    <message>
        <source>verified: every sample is right</source>
        <translation>geprüft: jedes Sample stimmt</translation>
    </message>
    <message>
        <source>the sum of the stems differs from the mix by at most %1</source>
        <translation>die Summe der Stems weicht höchstens %1 vom Mix ab</translation>
    </message>
    <message>
        <source>%1 samples were above full scale and were clipped: turn the main fader down</source>
        <translation>%1 Samples lagen über Vollaussteuerung und wurden beschnitten: nimm den Summenfader zurück</translation>
    </message>
    <message>
        <source>export time %1 s</source>
        <translation>Dauer %1 s</translation>
    </message>
</context>
<context>
    <name>isotonus::FaderBoxWindow</name>
    <message>
        <source>Simulated fader box</source>
        <translation>Simulierte Faderbox</translation>
    </message>
    <message>
        <source>–</source>
        <translation>–</translation>
    </message>
    <message>
        <source>Fader %1: %2</source>
        <translation>Fader %1: %2</translation>
    </message>
    <message>
        <source>MIDI messages</source>
        <translation>MIDI-Nachrichten</translation>
    </message>
    <message>
        <source>8 channels up</source>
        <translation>8 Kanäle hoch</translation>
    </message>
    <message>
        <source>8 channels down</source>
        <translation>8 Kanäle runter</translation>
    </message>
    <message>
        <source>Pitch bend, 14 bit</source>
        <translation>Pitch Bend, 14 Bit</translation>
    </message>
    <message>
        <source>Controls 7 and 39, 14 bit</source>
        <translation>Controller 7 und 39, 14 Bit</translation>
    </message>
    <message>
        <source>Control 7</source>
        <translation>Controller 7</translation>
    </message>
    <message>
        <source>The kind of MIDI message that the box sends. 14 bit moves faders in finer steps.</source>
        <translation>Die Art der MIDI-Nachricht, die die Faderbox sendet. 14 Bit bewegt Fader in feineren Stufen.</translation>
    </message>
    <message>
        <source>The faders of the box control the 8 channels above.</source>
        <translation>Die Fader der Box steuern die 8 Kanäle darüber.</translation>
    </message>
    <message>
        <source>The faders of the box control the 8 channels below.</source>
        <translation>Die Fader der Box steuern die 8 Kanäle darunter.</translation>
    </message>
</context>
<context>
    <name>isotonus::FaderLane</name>
    <message>
        <source>fader</source>
        <translation>Fader</translation>
    </message>
    <message>
        <source>peak after the fader</source>
        <translation>Spitze nach dem Fader</translation>
    </message>
    <message>
        <source>pan</source>
        <translation>Panorama</translation>
    </message>
    <message>
        <source>width</source>
        <translation>Breite</translation>
    </message>
    <message>
        <source>A fader goes up to +12 dB.</source>
        <translation>Ein Fader geht bis +12 dB.</translation>
    </message>
    <message>
        <source>The width goes from 0 to 200 %.</source>
        <translation>Die Breite geht von 0 bis 200 %.</translation>
    </message>
    <message>
        <source>left pan</source>
        <translation>Panorama links</translation>
    </message>
    <message>
        <source>right pan</source>
        <translation>Panorama rechts</translation>
    </message>
    <message>
        <source>%1, %2</source>
        <translation>%1, %2</translation>
    </message>
</context>
<context>
    <name>isotonus::FaderLink</name>
    <message>
        <source>simulated fader box</source>
        <translation>simulierte Faderbox</translation>
    </message>
    <message>
        <source>Move a fader of the box: it will control %1 of %2.</source>
        <translation>Bewege einen Fader der Box: Er wird %1 von %2 steuern.</translation>
    </message>
    <message>
        <source>This fader now controls %1 of %2.</source>
        <translation>Dieser Fader steuert jetzt %1 von %2.</translation>
    </message>
    <message>
        <source>The fader of %1 must first meet the current value.</source>
        <translation>Der Fader von %1 muss zuerst den aktuellen Wert treffen.</translation>
    </message>
</context>
<context>
    <name>isotonus::FaderWindow</name>
    <message>
        <source>Faders</source>
        <translation>Fader</translation>
    </message>
</context>
<context>
    <name>isotonus::FamilyRow</name>
    <message>
        <source>Family %1, folded</source>
        <translation>Familie %1, gefaltet</translation>
    </message>
    <message>
        <source>A click unfolds the family.</source>
        <translation>Ein Klick entfaltet die Familie.</translation>
    </message>
    <message numerus="yes">
        <source>%1: %n track(s)</source>
        <translation>
            <numerusform>%1: %n Spur</numerusform>
            <numerusform>%1: %n Spuren</numerusform>
        </translation>
    </message>
</context>
<context>
    <name>isotonus::Field</name>
    <message>
        <source>Field: tracks by pan and level</source>
        <translation>Feld: Spuren nach Pan und Pegel</translation>
    </message>
    <message>
        <source>%1: fader %2, pan %3</source>
        <translation>%1: Fader %2, Panorama %3</translation>
    </message>
    <message>
        <source>off</source>
        <translation>aus</translation>
    </message>
    <message>
        <source>fader dB</source>
        <translation>Fader dB</translation>
    </message>
    <message>
        <source>Pan and level of %1</source>
        <translation>Panorama und Pegel von %1</translation>
    </message>
    <message numerus="yes">
        <source>Pan and level of %n track(s)</source>
        <translation>
            <numerusform>Panorama und Pegel von %n Spur</numerusform>
            <numerusform>Panorama und Pegel von %n Spuren</numerusform>
        </translation>
    </message>
    <message>
        <source>Drag points: across is pan, up is level. Drag a frame to select several.</source>
        <translation>Ziehe Punkte: waagerecht ist Panorama, senkrecht Pegel. Ein Rahmen wählt mehrere aus.</translation>
    </message>
    <message>
        <source>Centre at 0 dB</source>
        <translation>Mitte bei 0 dB</translation>
    </message>
</context>
<context>
    <name>isotonus::FileActions</name>
    <message>
        <source>Isotonus session (*.isotonus)</source>
        <translation>Isotonus-Sitzung (*.isotonus)</translation>
    </message>
    <message>
        <source>Audio (*.wav *.rf64 *.w64 *.aif *.aiff *.flac *.ogg *.opus *.mp3 *.caf *.au);;All files (*)</source>
        <translation>Audio (*.wav *.rf64 *.w64 *.aif *.aiff *.flac *.ogg *.opus *.mp3 *.caf *.au);;Alle Dateien (*)</translation>
    </message>
    <message>
        <source>Unsaved changes</source>
        <translation>Ungespeicherte Änderungen</translation>
    </message>
    <message>
        <source>Save</source>
        <translation>Speichern</translation>
    </message>
    <message>
        <source>Do not save</source>
        <translation>Nicht speichern</translation>
    </message>
    <message>
        <source>Open a session</source>
        <translation>Sitzung öffnen</translation>
    </message>
    <message>
        <source>The file has changed</source>
        <translation>Die Datei hat sich geändert</translation>
    </message>
    <message>
        <source>Another program has changed %1 since it was opened here.</source>
        <translation>Ein anderes Programm hat %1 geändert, seit es hier geöffnet wurde.</translation>
    </message>
    <message>
        <source>Another program has changed %1.</source>
        <translation>Ein anderes Programm hat %1 geändert.</translation>
    </message>
    <message>
        <source>Not now</source>
        <translation>Jetzt nicht</translation>
    </message>
    <message>
        <source>Save the session as</source>
        <translation>Sitzung speichern als</translation>
    </message>
    <message>
        <source>Add audio files</source>
        <translation>Audiodateien hinzufügen</translation>
    </message>
    <message>
        <source>Add a folder of audio files</source>
        <translation>Ordner mit Audiodateien hinzufügen</translation>
    </message>
    <message numerus="yes">
        <source>Add %n track(s)</source>
        <translation>
            <numerusform>%n Spur hinzufügen</numerusform>
            <numerusform>%n Spuren hinzufügen</numerusform>
        </translation>
    </message>
    <message>
        <source>Left and right</source>
        <translation>Links und rechts</translation>
    </message>
    <message>
        <source>Make stereo tracks</source>
        <translation>Stereospuren machen</translation>
    </message>
    <message>
        <source>Many channels</source>
        <translation>Viele Kanäle</translation>
    </message>
    <message>
        <source>%1 has %2 channels.</source>
        <translation>%1 hat %2 Kanäle.</translation>
    </message>
    <message>
        <source>Split into mono tracks</source>
        <translation>In Mono-Spuren teilen</translation>
    </message>
    <message>
        <source>Fold to stereo</source>
        <translation>Auf Stereo falten</translation>
    </message>
    <message>
        <source>Cancel</source>
        <translation>Abbrechen</translation>
    </message>
    <message>
        <source>The paper-boat festival</source>
        <translation>Das Papierbootfest</translation>
    </message>
    <message>
        <source>Look for missing files in</source>
        <translation>Fehlende Dateien suchen in</translation>
    </message>
    <message numerus="yes">
        <source>Find %n missing file(s)</source>
        <translation>
            <numerusform>%n fehlende Datei finden</numerusform>
            <numerusform>%n fehlende Dateien finden</numerusform>
        </translation>
    </message>
    <message>
        <source>None of the missing files is in %1.</source>
        <translation>Keine der fehlenden Dateien ist in %1.</translation>
    </message>
    <message>
        <source>Sections and tempo from</source>
        <translation>Abschnitte und Tempo aus</translation>
    </message>
    <message>
        <source>MIDI files, audio files with cue points (*.mid *.midi *.wav);;All files (*)</source>
        <translation>MIDI-Dateien, Audiodateien mit Marken (*.mid *.midi *.wav);;Alle Dateien (*)</translation>
    </message>
    <message>
        <source>Sections from %1</source>
        <translation>Abschnitte aus %1</translation>
    </message>
    <message>
        <source>Sections and tempo to</source>
        <translation>Abschnitte und Tempo in</translation>
    </message>
    <message>
        <source>MIDI file (*.mid)</source>
        <translation>MIDI-Datei (*.mid)</translation>
    </message>
    <message>
        <source>An unnamed session</source>
        <translation>Eine Sitzung ohne Namen</translation>
    </message>
    <message>
        <source>Unsaved work was found</source>
        <translation>Ungespeicherte Arbeit wurde gefunden</translation>
    </message>
    <message>
        <source>Pan them left and right</source>
        <translation>Nach links und rechts pannen</translation>
    </message>
    <message>
        <source>Some files could not be added:</source>
        <translation>Einige Dateien konnten nicht hinzugefügt werden:</translation>
    </message>
    <message>
        <source>%1 has unsaved changes.</source>
        <translation>%1 hat ungespeicherte Änderungen.</translation>
    </message>
    <message>
        <source>Replace it</source>
        <translation>Ersetzen</translation>
    </message>
    <message>
        <source>Open the changed file</source>
        <translation>Geänderte Datei öffnen</translation>
    </message>
    <message>
        <source>Another program has changed %1. Undo returns to your unsaved version.</source>
        <translation>Ein anderes Programm hat %1 geändert. Rückgängig kehrt zu deiner ungespeicherten Fassung zurück.</translation>
    </message>
    <message>
        <source>the folder has no audio files. Choose the folder of the exported tracks.</source>
        <translation>der Ordner enthält keine Audiodateien. Wähle den Ordner mit den exportierten Spuren.</translation>
    </message>
    <message numerus="yes">
        <source>%n pair(s) of mono files have names of a left and a right channel: %1.</source>
        <translation>
            <numerusform>%n Paar Mono-Dateien heißt wie ein linker und ein rechter Kanal: %1.</numerusform>
            <numerusform>%n Paare Mono-Dateien heißen wie linke und rechte Kanäle: %1.</numerusform>
        </translation>
    </message>
    <message>
        <source>The demo&apos;s music is being synthesised: the festival is tuning up…</source>
        <translation>Die Musik der Demo wird erzeugt: Das Fest stimmt sich ein…</translation>
    </message>
    <message>
        <source>Save with all files into a new or empty folder</source>
        <translation>Mit allen Dateien in einen neuen oder leeren Ordner speichern</translation>
    </message>
    <message>
        <source>Copying the files of the session…</source>
        <translation>Die Dateien der Sitzung werden kopiert…</translation>
    </message>
    <message numerus="yes">
        <source>%1 and %n file(s) were saved in %2.</source>
        <translation>
            <numerusform>%1 und %n Datei wurden in %2 gespeichert.</numerusform>
            <numerusform>%1 und %n Dateien wurden in %2 gespeichert.</numerusform>
        </translation>
    </message>
    <message>
        <source>%1 was not saved before Isotonus last ended. Restore it?</source>
        <translation>%1 war nicht gespeichert, als Isotonus zuletzt endete. Wiederherstellen?</translation>
    </message>
    <message>
        <source>Restore</source>
        <translation>Wiederherstellen</translation>
    </message>
    <message>
        <source>Discard</source>
        <translation>Verwerfen</translation>
    </message>
</context>
<context>
    <name>isotonus::FirstBalance</name>
    <message>
        <source>The tracks explain %1 to %2; it begins at %3 of the song.</source>
        <translation>Die Spuren erklären %1 bis auf %2; er beginnt bei %3 des Songs.</translation>
    </message>
    <message>
        <source>Polarity inverted.</source>
        <translation>Polarität invertiert.</translation>
    </message>
    <message>
        <source>First balance</source>
        <translation>Erste Balance</translation>
    </message>
    <message>
        <source>First balance: %1</source>
        <translation>Erste Balance: %1</translation>
    </message>
    <message>
        <source>Levels of sections as in the rough mix</source>
        <translation>Pegel der Abschnitte wie im Rohmix</translation>
    </message>
    <message>
        <source>Drafted from what can be heard. Before the processors of buses and the main output, the song peaks at %1.</source>
        <translation>Aus dem Hörbaren entworfen. Vor den Prozessoren von Bussen und Summe ist der Spitzenpegel des Songs %1.</translation>
    </message>
</context>
<context>
    <name>isotonus::FirstBalancePage</name>
    <message>
        <source>From a rough mix</source>
        <translation>Aus einem Rohmix</translation>
    </message>
    <message>
        <source>Draft from what can be heard</source>
        <translation>Entwurf aus dem Hörbaren</translation>
    </message>
    <message>
        <source>Also tracks set by hand</source>
        <translation>Auch schon eingestellte</translation>
    </message>
    <message>
        <source>A track whose fader or pan was moved stays as it is unless this is on. Locked tracks always stay.</source>
        <translation>Eine Spur, deren Fader oder Panorama bewegt wurde, bleibt ohne diese Option, wie sie ist. Gesperrte Spuren bleiben immer.</translation>
    </message>
    <message>
        <source>Dismiss</source>
        <translation>Verwerfen</translation>
    </message>
    <message>
        <source>Proposed balance</source>
        <translation>Vorgeschlagene Balance</translation>
    </message>
    <message>
        <source>Track</source>
        <translation>Spur</translation>
    </message>
    <message>
        <source>Fader</source>
        <translation>Fader</translation>
    </message>
    <message>
        <source>Pan</source>
        <translation>Panorama</translation>
    </message>
    <message>
        <source>Why</source>
        <translation>Warum</translation>
    </message>
    <message>
        <source>as proposed</source>
        <translation>wie vorgeschlagen</translation>
    </message>
    <message>
        <source>How much of the proposal is heard and applied. It is heard while the slider moves.</source>
        <translation>Wie viel vom Vorschlag zu hören ist und übernommen wird. Er ist zu hören, solange der Regler sich bewegt.</translation>
    </message>
    <message>
        <source>Apply all</source>
        <translation>Alle übernehmen</translation>
    </message>
    <message>
        <source>Apply to this track</source>
        <translation>Für diese Spur übernehmen</translation>
    </message>
    <message>
        <source>Rides by section</source>
        <translation>Pegelfahrt je Abschnitt</translation>
    </message>
    <message>
        <source>Where a track is louder or softer in a section, a ride follows the rough mix.</source>
        <translation>Wo eine Spur in einem Abschnitt lauter oder leiser ist, folgt eine Pegelfahrt dem Rohmix.</translation>
    </message>
    <message>
        <source>Choose a file…</source>
        <translation>Datei wählen…</translation>
    </message>
    <message>
        <source>Rough mix</source>
        <translation>Rohmix</translation>
    </message>
    <message>
        <source>Cancel</source>
        <translation>Abbrechen</translation>
    </message>
    <message>
        <source>Proposes faders and pans for all tracks, as dashed marks with a reason for each. Nothing changes until it is applied.</source>
        <translation>Schlägt Fader und Panorama für alle Spuren vor, als gestrichelte Marken mit einem Grund für jede. Nichts ändert sich, bis du es übernimmst.</translation>
    </message>
    <message>
        <source>Removes the dashed marks. The session stays as it is.</source>
        <translation>Entfernt die gestrichelten Marken. Die Sitzung bleibt, wie sie ist.</translation>
    </message>
    <message>
        <source>Sets all tracks that are listed, as far as the slider says. One undo brings them back.</source>
        <translation>Stellt alle aufgeführten Spuren ein, so weit der Regler es sagt. Einmal Rückgängig holt sie zurück.</translation>
    </message>
    <message>
        <source>Applies only the track that is selected in the list.</source>
        <translation>Übernimmt nur die Spur, die in der Liste ausgewählt ist.</translation>
    </message>
    <message>
        <source>Finds the faders and pans that make the tracks sound like a rough mix of the same song. A file can also be dropped here.</source>
        <translation>Findet Fader und Panorama, mit denen die Spuren wie ein Rohmix desselben Songs klingen. Eine Datei lässt sich auch hierher ziehen.</translation>
    </message>
    <message>
        <source>Sets anchors to working levels, and raises every other track until it is heard as its role needs. Use it when you have no rough mix.</source>
        <translation>Stellt Anker auf Arbeitspegel und hebt jede andere Spur, bis sie so zu hören ist, wie ihre Rolle es braucht. Wenn du keinen Rohmix hast.</translation>
    </message>
    <message>
        <source>Extent of the draft</source>
        <translation>Umfang des Entwurfs</translation>
    </message>
    <message>
        <source>Which settings a draft proposes: faders only, pans too, or also the widths of tracks that lose too much in mono.</source>
        <translation>Welche Einstellungen ein Entwurf vorschlägt: nur Fader, auch Panorama, oder auch die Breite von Spuren, die in Mono zu viel verlieren.</translation>
    </message>
    <message>
        <source>Levels only</source>
        <translation>Nur Pegel</translation>
    </message>
    <message>
        <source>Levels and pans</source>
        <translation>Pegel und Panorama</translation>
    </message>
    <message>
        <source>Levels, pans, widths</source>
        <translation>Pegel, Panorama, Breiten</translation>
    </message>
    <message>
        <source>as it is</source>
        <translation>wie es ist</translation>
    </message>
    <message>
        <source>Between the current and the proposed balance</source>
        <translation>Zwischen der aktuellen und der vorgeschlagenen Balance</translation>
    </message>
    <message>
        <source>Plays the rough mix minus the sum of the tracks, at its level. You hear the part of the rough mix that faders and pans cannot explain.</source>
        <translation>Spielt den Rohmix ohne die Summe der Spuren, mit seinem Pegel. Du hörst den Teil des Rohmixes, den Fader und Panorama nicht erklären.</translation>
    </message>
    <message>
        <source>Measuring the whole song…</source>
        <translation>Der ganze Song wird gemessen…</translation>
    </message>
    <message>
        <source>Hear the remainder</source>
        <translation>Den Rest hören</translation>
    </message>
    <message>
        <source>The track that the proposal is for.</source>
        <translation>Die Spur, für die der Vorschlag gilt.</translation>
    </message>
    <message>
        <source>The proposed level of the fader.</source>
        <translation>Der vorgeschlagene Pegel des Faders.</translation>
    </message>
    <message>
        <source>The proposed pan.</source>
        <translation>Das vorgeschlagene Panorama.</translation>
    </message>
    <message>
        <source>The reason for the proposal, in a sentence.</source>
        <translation>Der Grund für den Vorschlag, in einem Satz.</translation>
    </message>
    <message>
        <source>A two-track export of the same song, from the program in which it was made.</source>
        <translation>Ein Stereoexport desselben Songs, aus dem Programm, in dem er entstanden ist.</translation>
    </message>
</context>
<context>
    <name>isotonus::GatherLane</name>
    <message>
        <source>Clip gain %1 %2</source>
        <translation>Clip-Gain %1 %2</translation>
    </message>
    <message>
        <source>%1 is being read</source>
        <translation>%1 wird gelesen</translation>
    </message>
    <message>
        <source>being read and measured…</source>
        <translation>wird gelesen und gemessen…</translation>
    </message>
    <message>
        <source>lossy</source>
        <translation>verlustbehaftet</translation>
    </message>
    <message>
        <source>%1 bit float</source>
        <translation>%1 Bit Gleitkomma</translation>
    </message>
    <message>
        <source>%1 bit</source>
        <translation>%1 Bit</translation>
    </message>
    <message>
        <source>%1 · %2 kHz · %3 · peak %4</source>
        <translation>%1 · %2 kHz · %3 · Spitze %4</translation>
    </message>
    <message>
        <source>clip gain</source>
        <translation>Clip-Gain</translation>
    </message>
    <message numerus="yes">
        <source>Clip gain of %n track(s)</source>
        <translation>
            <numerusform>Clip-Gain von %n Spur</numerusform>
            <numerusform>Clip-Gain von %n Spuren</numerusform>
        </translation>
    </message>
    <message>
        <source>%1: peak %2 at %3, true peak %4, %5 (%6), loudness %7. Click to play from the peak.</source>
        <translation>%1: Spitzenpegel %2 bei %3, True Peak %4, %5 (%6), Lautheit %7. Ein Klick spielt ab der Spitze.</translation>
    </message>
    <message>
        <source>%1: %2.</source>
        <translation>%1: %2.</translation>
    </message>
    <message>
        <source>Click to play it alone, from %1.</source>
        <translation>Ein Klick spielt es allein, ab %1.</translation>
    </message>
    <message>
        <source>The panel (E) can fix it.</source>
        <translation>Das Feld unten (E) kann es beheben.</translation>
    </message>
</context>
<context>
    <name>isotonus::GuideWindow</name>
    <message>
        <source>Guide</source>
        <translation>Handbuch</translation>
    </message>
</context>
<context>
    <name>isotonus::HandOffLane</name>
    <message>
        <source>muted</source>
        <translation>stumm</translation>
    </message>
    <message>
        <source>not heard: its bus is muted</source>
        <translation>nicht zu hören: der Bus ist stumm</translation>
    </message>
    <message>
        <source>peak %1</source>
        <translation>Spitze %1</translation>
    </message>
    <message>
        <source>pan %1</source>
        <translation>Pan %1</translation>
    </message>
    <message>
        <source>polarity inverted</source>
        <translation>Polarität invertiert</translation>
    </message>
    <message>
        <source>silent</source>
        <translation>still</translation>
    </message>
    <message>
        <source>fader off</source>
        <translation>Fader zu</translation>
    </message>
    <message>
        <source>in the mix</source>
        <translation>im Mix</translation>
    </message>
    <message>
        <source>no file: missing in the mix</source>
        <translation>keine Datei: fehlt im Mix</translation>
    </message>
    <message>
        <source>peak %1 without its ride</source>
        <translation>Spitze %1 ohne Automation</translation>
    </message>
    <message>
        <source>has rides</source>
        <translation>mit Automation</translation>
    </message>
</context>
<context>
    <name>isotonus::HandOffPanel</name>
    <message>
        <source>Checks before hand-off</source>
        <translation>Prüfungen vor der Übergabe</translation>
    </message>
    <message>
        <source>Limits</source>
        <translation>Grenzen</translation>
    </message>
    <message>
        <source>Own limits</source>
        <translation>Eigene Grenzen</translation>
    </message>
    <message>
        <source>Limits %1</source>
        <translation>Grenzen %1</translation>
    </message>
    <message>
        <source>Files to export</source>
        <translation>Exportdateien</translation>
    </message>
    <message>
        <source>File</source>
        <translation>Datei</translation>
    </message>
    <message>
        <source>Length</source>
        <translation>Länge</translation>
    </message>
    <message>
        <source>Size</source>
        <translation>Größe</translation>
    </message>
    <message>
        <source>Export</source>
        <translation>Exportieren</translation>
    </message>
    <message>
        <source>Cancel</source>
        <translation>Abbrechen</translation>
    </message>
    <message>
        <source>below %1</source>
        <translation>unter %1</translation>
    </message>
    <message numerus="yes">
        <source>%n file(s), %1</source>
        <translation>
            <numerusform>%n Datei, %1</numerusform>
            <numerusform>%n Dateien, %1</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <source>%n file(s)</source>
        <translation>
            <numerusform>%n Datei</numerusform>
            <numerusform>%n Dateien</numerusform>
        </translation>
    </message>
    <message>
        <source>true peak at most, dBTP</source>
        <translation>True Peak höchstens, dBTP</translation>
    </message>
    <message>
        <source>loudness at least, LUFS (−70: any)</source>
        <translation>Lautheit mindestens, LUFS (−70: egal)</translation>
    </message>
    <message>
        <source>loudness at most, LUFS (0: any)</source>
        <translation>Lautheit höchstens, LUFS (0: egal)</translation>
    </message>
    <message>
        <source>silence at the ends at most, s</source>
        <translation>Stille an den Enden höchstens, s</translation>
    </message>
    <message>
        <source>loss in mono at most, dB</source>
        <translation>Verlust in Mono höchstens, dB</translation>
    </message>
    <message>
        <source>The mix is being measured…</source>
        <translation>Der Mix wird gemessen…</translation>
    </message>
    <message>
        <source>The stems sum to the mix.</source>
        <translation>Die Stems ergeben den Mix.</translation>
    </message>
    <message>
        <source>Exporting…</source>
        <translation>Exportiert…</translation>
    </message>
    <message>
        <source>Export without them</source>
        <translation>Ohne sie exportieren</translation>
    </message>
    <message>
        <source>The file exists</source>
        <translation>Die Datei gibt es schon</translation>
    </message>
    <message>
        <source>Replace</source>
        <translation>Ersetzen</translation>
    </message>
    <message>
        <source>Checks</source>
        <translation>Prüfungen</translation>
    </message>
    <message numerus="yes">
        <source>and %n more</source>
        <translation>
            <numerusform>und %n weiteres</numerusform>
            <numerusform>und %n weitere</numerusform>
        </translation>
    </message>
    <message>
        <source>No processors on the main output</source>
        <translation>Keine Prozessoren auf der Summe</translation>
    </message>
    <message>
        <source>Export through the main output&apos;s processors</source>
        <translation>Mit den Prozessoren der Summe exportieren</translation>
    </message>
    <message>
        <source>For mastering</source>
        <translation>Fürs Mastering</translation>
    </message>
    <message>
        <source>Streaming demo</source>
        <translation>Streaming-Demo</translation>
    </message>
    <message>
        <source>The limits that the checks use. Choose &apos;for mastering&apos; unless you share the file yourself.</source>
        <translation>Die Grenzen, nach denen geprüft wird. „Fürs Mastering“, wenn du die Datei nicht selbst veröffentlichst.</translation>
    </message>
    <message>
        <source>no files to export: every track is muted</source>
        <translation>keine Exportdateien: alle Spuren sind stumm</translation>
    </message>
    <message>
        <source>Notes to the mastering engineer</source>
        <translation>Notizen an das Mastering</translation>
    </message>
    <message>
        <source>Notes to the mastering engineer: how the song should feel, and what worries you. They are printed on the hand-off sheet.</source>
        <translation>Notizen an das Mastering: wie sich der Song anfühlen soll und was dir Sorgen macht. Sie stehen auf dem Begleitblatt.</translation>
    </message>
    <message>
        <source>Listeners hear a demo without mastering. Put the preset &apos;%1&apos; on the main output, and export the mix through it? %2</source>
        <translation>Ein Demo wird ohne Mastering gehört. Die Vorlage „%1“ auf die Summe legen und den Mix damit exportieren? %2</translation>
    </message>
    <message>
        <source>Use the preset</source>
        <translation>Vorlage einsetzen</translation>
    </message>
    <message>
        <source>Export without it</source>
        <translation>Ohne exportieren</translation>
    </message>
    <message>
        <source>sample peak at most, dBFS</source>
        <translation>Spitzenpegel höchstens, dBFS</translation>
    </message>
    <message>
        <source>sample peak at least, dBFS</source>
        <translation>Spitzenpegel mindestens, dBFS</translation>
    </message>
    <message numerus="yes">
        <source>%n warning(s)</source>
        <translation>
            <numerusform>%n Warnung</numerusform>
            <numerusform>%n Warnungen</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <source>%n to fix</source>
        <translation>
            <numerusform>%n zu beheben</numerusform>
            <numerusform>%n zu beheben</numerusform>
        </translation>
    </message>
    <message>
        <source>nothing to fix</source>
        <translation>nichts zu beheben</translation>
    </message>
    <message>
        <source>all checks passed</source>
        <translation>alle Prüfungen bestanden</translation>
    </message>
    <message>
        <source>Computing the sum of the stems…</source>
        <translation>Die Summe der Stems wird berechnet…</translation>
    </message>
    <message>
        <source>The sum of the stems differs from the mix by %1.</source>
        <translation>Die Summe der Stems weicht um %1 vom Mix ab.</translation>
    </message>
    <message numerus="yes">
        <source>Exporting; %n more waiting…</source>
        <translation>
            <numerusform>Exportiert; %n weiterer wartet…</numerusform>
            <numerusform>Exportiert; %n weitere warten…</numerusform>
        </translation>
    </message>
    <message>
        <source>Mastering needs 24 bit at the session&apos;s rate and 3 to 6 dB of headroom. A mix inside the main output&apos;s window (−10 to −6 dBFS) has that.</source>
        <translation>Mastering braucht 24 Bit in der Rate der Sitzung und 3 bis 6 dB Headroom. Ein Mix im Fenster der Summe (−10 bis −6 dBFS) hat das.</translation>
    </message>
    <message>
        <source>A changed file is being measured. The export starts after that.</source>
        <translation>Eine geänderte Datei wird gemessen. Der Export beginnt danach.</translation>
    </message>
    <message>
        <source>The chains are still being computed. The export starts after that.</source>
        <translation>Die Ketten werden noch berechnet. Der Export beginnt danach.</translation>
    </message>
    <message>
        <source>These files are already being exported. Wait for the end, or choose other names.</source>
        <translation>Diese Dateien werden schon exportiert. Warte das Ende ab oder wähle andere Namen.</translation>
    </message>
    <message>
        <source>The mix is incomplete</source>
        <translation>Der Mix ist unvollständig</translation>
    </message>
    <message>
        <source>The export would lack:</source>
        <translation>Im Export würde fehlen:</translation>
    </message>
    <message>
        <source>%1 already exists. Replace it?</source>
        <translation>%1 gibt es schon. Ersetzen?</translation>
    </message>
    <message numerus="yes">
        <source>%1 and %n more file(s) already exist. Replace them?</source>
        <translation>
            <numerusform>%1 und %n weitere Datei gibt es schon. Ersetzen?</numerusform>
            <numerusform>%1 und %n weitere Dateien gibt es schon. Ersetzen?</numerusform>
        </translation>
    </message>
    <message>
        <source>The name of the file that the export writes.</source>
        <translation>Der Name der Datei, die der Export schreibt.</translation>
    </message>
    <message>
        <source>How long the file plays.</source>
        <translation>Wie lange die Datei spielt.</translation>
    </message>
    <message>
        <source>How much room the file takes on the disk.</source>
        <translation>Wie viel Platz die Datei auf dem Datenträger braucht.</translation>
    </message>
    <message>
        <source>Writes the files of the list and reads them back. Check the marks on the left first.</source>
        <translation>Schreibt die Dateien der Liste und liest sie zurück. Prüfe zuerst die Marken links.</translation>
    </message>
    <message>
        <source>Stops the export. None of its files is written.</source>
        <translation>Bricht den Export ab. Keine seiner Dateien wird geschrieben.</translation>
    </message>
</context>
<context>
    <name>isotonus::HeadroomPage</name>
    <message>
        <source>Proposal %1</source>
        <translation>Vorschlag %1</translation>
    </message>
    <message numerus="yes">
        <source>Headroom plan: %n fader(s) down</source>
        <translation>
            <numerusform>Headroom-Plan: %n Fader tiefer</numerusform>
            <numerusform>Headroom-Plan: %n Fader tiefer</numerusform>
        </translation>
    </message>
    <message>
        <source>the balance changes by %1</source>
        <translation>die Balance ändert sich um %1</translation>
    </message>
    <message>
        <source>the balance stays</source>
        <translation>die Balance bleibt</translation>
    </message>
    <message>
        <source>%1: down by %2
peak %3, %4</source>
        <translation>%1: %2 tiefer
Spitzenpegel %3, %4</translation>
    </message>
    <message>
        <source>no tracks</source>
        <translation>keine Spuren</translation>
    </message>
    <message>
        <source>All tracks</source>
        <translation>Alle Spuren</translation>
    </message>
    <message>
        <source>All except the anchors</source>
        <translation>Alle außer den Ankern</translation>
    </message>
    <message>
        <source>searching for the cause of the peak…</source>
        <translation>die Ursache der Spitze wird gesucht…</translation>
    </message>
    <message>
        <source>%1 on the right channel; share of each track:</source>
        <translation>%1 auf dem rechten Kanal; Anteil jeder Spur:</translation>
    </message>
    <message>
        <source>%1 on the left channel; share of each track:</source>
        <translation>%1 auf dem linken Kanal; Anteil jeder Spur:</translation>
    </message>
    <message>
        <source>Nothing needs to go down: %1 of headroom is left in the window.</source>
        <translation>Nichts muss leiser werden: Im Fenster sind noch %1 Headroom.</translation>
    </message>
    <message>
        <source>No fader brings the peak into the window, because the main output&apos;s processors set it. Change those in Shape.</source>
        <translation>Kein Fader bringt den Spitzenpegel ins Fenster, weil die Prozessoren der Summe ihn bestimmen. Ändere sie unter Formen.</translation>
    </message>
    <message>
        <source>Point at the proposal to see its faders as dashed marks. Click to apply it; undo restores the faders.</source>
        <translation>Zeige auf den Vorschlag, um seine Fader als gestrichelte Marken zu sehen. Ein Klick übernimmt ihn; Rückgängig stellt die Fader wieder her.</translation>
    </message>
    <message>
        <source>Proposals for the window. Point at one to see its faders:</source>
        <translation>Vorschläge für das Fenster. Zeige auf einen, um seine Fader zu sehen:</translation>
    </message>
</context>
<context>
    <name>isotonus::HitPicture</name>
    <message>
        <source>The two waveforms at the strongest hit</source>
        <translation>Die zwei Wellenformen am stärksten Schlag</translation>
    </message>
    <message>
        <source>%1 ms</source>
        <translation>%1 ms</translation>
    </message>
    <message>
        <source>select a track in the table</source>
        <translation>wähle eine Spur in der Tabelle</translation>
    </message>
    <message>
        <source>broad: reference   fine: this track, as it is</source>
        <translation>breit: Referenz   fein: diese Spur, wie sie ist</translation>
    </message>
</context>
<context>
    <name>isotonus::KeysDialog</name>
    <message>
        <source>Keys</source>
        <translation>Tasten</translation>
    </message>
    <message>
        <source>Search</source>
        <translation>Suche</translation>
    </message>
    <message>
        <source>Guide</source>
        <translation>Handbuch</translation>
    </message>
    <message>
        <source>A key, or a word of its action</source>
        <translation>Eine Taste oder ein Wort ihrer Aktion</translation>
    </message>
    <message>
        <source>Explains the whole job on the demo, page by page.</source>
        <translation>Erklärt die ganze Arbeit an der Demo, Seite für Seite.</translation>
    </message>
    <message>
        <source>No action matches. Try another word.</source>
        <translation>Keine Aktion passt. Versuche ein anderes Wort.</translation>
    </message>
    <message>
        <source>Shows only keys whose name or action has these words.</source>
        <translation>Zeigt nur Tasten, deren Name oder Aktion diese Wörter enthält.</translation>
    </message>
</context>
<context>
    <name>isotonus::Lane</name>
    <message>
        <source>%1, %2</source>
        <translation>%1, %2</translation>
    </message>
    <message>
        <source>Reset</source>
        <translation>Zurücksetzen</translation>
    </message>
</context>
<context>
    <name>isotonus::LevelPicture</name>
    <message>
        <source>threshold %1</source>
        <translation>Threshold %1</translation>
    </message>
    <message>
        <source>%1 dB</source>
        <translation>%1 dB</translation>
    </message>
    <message>
        <source>now %1</source>
        <translation>jetzt %1</translation>
    </message>
    <message>
        <source>Levels of the selected track</source>
        <translation>Pegel der ausgewählten Spur</translation>
    </message>
    <message>
        <source>%1, deepest reduction %2, %3 while it works</source>
        <translation>%1, tiefste Reduktion %2, %3 während er arbeitet</translation>
    </message>
    <message>
        <source>no reduction</source>
        <translation>keine Reduktion</translation>
    </message>
    <message>
        <source>being computed</source>
        <translation>wird berechnet</translation>
    </message>
    <message>
        <source>level histogram</source>
        <translation>Pegelhistogramm</translation>
    </message>
    <message>
        <source>level histogram; sidechain: %1</source>
        <translation>Pegelhistogramm; Sidechain: %1</translation>
    </message>
    <message>
        <source>max %1 dB at %2, %3 dB while it works</source>
        <translation>max. %1 dB bei %2, meist %3 dB</translation>
    </message>
</context>
<context>
    <name>isotonus::LoudnessPicture</name>
    <message>
        <source>Loudness over the song</source>
        <translation>Lautheit über den Song</translation>
    </message>
    <message numerus="yes">
        <source>the mix and %n recording(s)</source>
        <translation>
            <numerusform>der Mix und %n Aufnahme</numerusform>
            <numerusform>der Mix und %n Aufnahmen</numerusform>
        </translation>
    </message>
    <message>
        <source>the mix</source>
        <translation>der Mix</translation>
    </message>
    <message>
        <source>%1 LU</source>
        <translation>%1 LU</translation>
    </message>
    <message>
        <source>–</source>
        <translation>–</translation>
    </message>
    <message>
        <source>range %1, crest %2</source>
        <translation>Umfang %1, Crest %2</translation>
    </message>
    <message>
        <source>passage %1</source>
        <translation>Passage %1</translation>
    </message>
    <message>
        <source>Mark %1</source>
        <translation>%1 markieren</translation>
    </message>
    <message>
        <source>%1 of %2 against %3 of the song</source>
        <translation>%1 von %2 gegen %3 des Songs</translation>
    </message>
    <message>
        <source>The mix at %1. Click to move the playhead there.</source>
        <translation>Der Mix bei %1. Ein Klick setzt die Abspielposition dorthin.</translation>
    </message>
    <message>
        <source>%1 of the recording. Drag to mark a passage; double click to compare it with the song at the playhead.</source>
        <translation>%1 der Aufnahme. Ziehen markiert eine Passage; Doppelklick vergleicht sie mit dem Song an der Abspielposition.</translation>
    </message>
</context>
<context>
    <name>isotonus::MainFader</name>
    <message>
        <source>Main fader %1</source>
        <translation>Summenfader %1</translation>
    </message>
    <message>
        <source>main fader</source>
        <translation>Summenfader</translation>
    </message>
    <message>
        <source>Main fader %1: changes the level of the whole mix. Balance the tracks first; this fader is for the last step.</source>
        <translation>Summenfader %1: ändert den Pegel des ganzen Mixes. Stelle zuerst die Balance der Spuren ein; dieser ist für den letzten Schritt.</translation>
    </message>
</context>
<context>
    <name>isotonus::MainSpectrum</name>
    <message>
        <source>Spectrum of the main output</source>
        <translation>Spektrum der Summe</translation>
    </message>
    <message>
        <source>live</source>
        <translation>live</translation>
    </message>
    <message>
        <source>of the whole song</source>
        <translation>des ganzen Songs</translation>
    </message>
    <message>
        <source>Spectrum of the main output, 20 Hz to 20 kHz: the line is the whole song, the area is live.</source>
        <translation>Spektrum der Summe, 20 Hz bis 20 kHz: Die Linie ist der ganze Song, die Fläche läuft live.</translation>
    </message>
</context>
<context>
    <name>isotonus::MainWindow</name>
    <message>
        <source>Menu</source>
        <translation>Menü</translation>
    </message>
    <message>
        <source>New session</source>
        <translation>Neue Sitzung</translation>
    </message>
    <message>
        <source>Open…</source>
        <translation>Öffnen…</translation>
    </message>
    <message>
        <source>Open recent</source>
        <translation>Zuletzt geöffnet</translation>
    </message>
    <message>
        <source>Save</source>
        <translation>Speichern</translation>
    </message>
    <message>
        <source>Save as…</source>
        <translation>Speichern unter…</translation>
    </message>
    <message>
        <source>Add audio files…</source>
        <translation>Audiodateien hinzufügen…</translation>
    </message>
    <message>
        <source>Add a folder of audio…</source>
        <translation>Ordner mit Audio hinzufügen…</translation>
    </message>
    <message>
        <source>Sections and tempo from a file…</source>
        <translation>Abschnitte und Tempo aus einer Datei…</translation>
    </message>
    <message>
        <source>Sections and tempo to a MIDI file…</source>
        <translation>Abschnitte und Tempo in eine MIDI-Datei…</translation>
    </message>
    <message>
        <source>Tempo…</source>
        <translation>Tempo…</translation>
    </message>
    <message>
        <source>Find missing files…</source>
        <translation>Fehlende Dateien suchen…</translation>
    </message>
    <message>
        <source>Read files again</source>
        <translation>Dateien neu lesen</translation>
    </message>
    <message>
        <source>Open the demo</source>
        <translation>Demo öffnen</translation>
    </message>
    <message>
        <source>Shape the demo</source>
        <translation>Demo formen</translation>
    </message>
    <message>
        <source>Undo</source>
        <translation>Rückgängig</translation>
    </message>
    <message>
        <source>Redo</source>
        <translation>Wiederherstellen</translation>
    </message>
    <message>
        <source>Settings…</source>
        <translation>Einstellungen…</translation>
    </message>
    <message>
        <source>Keys</source>
        <translation>Tasten</translation>
    </message>
    <message>
        <source>Guide</source>
        <translation>Handbuch</translation>
    </message>
    <message>
        <source>Quit</source>
        <translation>Beenden</translation>
    </message>
    <message>
        <source>Play or stop</source>
        <translation>Abspielen oder anhalten</translation>
    </message>
    <message>
        <source>Stop reading files</source>
        <translation>Lesen der Dateien anhalten</translation>
    </message>
    <message>
        <source>Loop on or off</source>
        <translation>Loop an oder aus</translation>
    </message>
    <message>
        <source>New section at the playhead</source>
        <translation>Neuer Abschnitt an der Abspielposition</translation>
    </message>
    <message>
        <source>Loop the loudest passage</source>
        <translation>Loop über die lauteste Passage</translation>
    </message>
    <message>
        <source>Anchor</source>
        <translation>Anker</translation>
    </message>
    <message>
        <source>Gather: split the clip at the playhead</source>
        <translation>Sammeln: Clip an der Abspielposition teilen</translation>
    </message>
    <message>
        <source>Edges snap to beats.</source>
        <translation>Kanten rasten an Schlägen ein.</translation>
    </message>
    <message>
        <source>Edges move freely.</source>
        <translation>Kanten bewegen sich frei.</translation>
    </message>
    <message>
        <source>Target sheet…</source>
        <translation>Zielblatt…</translation>
    </message>
    <message>
        <source>Tame spikes</source>
        <translation>Ausreißer zähmen</translation>
    </message>
    <message>
        <source>Station %1</source>
        <translation>Station %1</translation>
    </message>
    <message>
        <source>Section %1</source>
        <translation>Abschnitt %1</translation>
    </message>
    <message>
        <source>Mute</source>
        <translation>Stumm</translation>
    </message>
    <message>
        <source>Solo</source>
        <translation>Solo</translation>
    </message>
    <message>
        <source>All solos off</source>
        <translation>Alle Solos aus</translation>
    </message>
    <message>
        <source>All mutes off</source>
        <translation>Alle Mutes aus</translation>
    </message>
    <message>
        <source>All other faders down by…</source>
        <translation>Alle anderen Fader tiefer um…</translation>
    </message>
    <message>
        <source>The mix</source>
        <translation>Der Mix</translation>
    </message>
    <message>
        <source>Solo safe</source>
        <translation>Solo-Safe</translation>
    </message>
    <message>
        <source>Listening note at the playhead…</source>
        <translation>Hörnotiz an der Abspielposition…</translation>
    </message>
    <message>
        <source>Simulated fader box</source>
        <translation>Simulierte Faderbox</translation>
    </message>
    <message>
        <source>Stage all</source>
        <translation>Alle einpegeln</translation>
    </message>
    <message>
        <source>Show the whole song</source>
        <translation>Den ganzen Song zeigen</translation>
    </message>
    <message>
        <source>Value down or up by 1 dB; Shift 0.1 dB, Ctrl 3 dB</source>
        <translation>Wert um 1 dB tiefer oder höher; Umschalt 0,1 dB, Strg 3 dB</translation>
    </message>
    <message>
        <source>Type the value; Enter sets it</source>
        <translation>Den Wert eingeben; Enter setzt ihn</translation>
    </message>
    <message>
        <source>Balance: headroom plan</source>
        <translation>Balance: Headroom-Plan</translation>
    </message>
    <message>
        <source>Balance: build-up</source>
        <translation>Balance: Aufbau</translation>
    </message>
    <message>
        <source>Balance: stereo picture</source>
        <translation>Balance: Stereobild</translation>
    </message>
    <message>
        <source>Balance: field or lanes</source>
        <translation>Balance: Feld oder Bahnen</translation>
    </message>
    <message>
        <source>Monitor: dim</source>
        <translation>Abhören: Dim</translation>
    </message>
    <message>
        <source>Monitor: quiet check</source>
        <translation>Abhören: Leiseprobe</translation>
    </message>
    <message>
        <source>Monitor: mono</source>
        <translation>Abhören: Mono</translation>
    </message>
    <message>
        <source>Hear bus or group %1 alone, and back</source>
        <translation>Bus oder Gruppe %1 allein hören, und zurück</translation>
    </message>
    <message>
        <source>%1 off</source>
        <translation>%1 aus</translation>
    </message>
    <message>
        <source>nothing yet</source>
        <translation>noch nichts</translation>
    </message>
    <message>
        <source>Undo: %1</source>
        <translation>Rückgängig: %1</translation>
    </message>
    <message>
        <source>Redo: %1</source>
        <translation>Wiederherstellen: %1</translation>
    </message>
    <message>
        <source>An export is running</source>
        <translation>Ein Export läuft</translation>
    </message>
    <message>
        <source>Faders in a window of their own</source>
        <translation>Fader in eigenem Fenster</translation>
    </message>
    <message>
        <source>Spectrum of the main output</source>
        <translation>Spektrum der Summe</translation>
    </message>
    <message>
        <source>Balance: first balance, from a rough mix or from what can be heard</source>
        <translation>Balance: erste Balance, aus einem Rohmix oder aus dem Hörbaren</translation>
    </message>
    <message>
        <source>Balance: start from a rough mix…</source>
        <translation>Balance: von einem Rohmix ausgehen…</translation>
    </message>
    <message>
        <source>Rough mix</source>
        <translation>Rohmix</translation>
    </message>
    <message>
        <source>unsaved</source>
        <translation>ungespeichert</translation>
    </message>
    <message>
        <source>The pages of the guide are missing beside the program. Install the package again, or read docs/guide in the source.</source>
        <translation>Die Seiten des Handbuchs fehlen neben dem Programm. Installiere das Paket neu oder lies docs/guide in den Quellen.</translation>
    </message>
    <message>
        <source>The export is not finished. Quit, and write none of its files?</source>
        <translation>Der Export ist nicht fertig. Beenden und keine seiner Dateien schreiben?</translation>
    </message>
    <message>
        <source>Save with all files…</source>
        <translation>Mit allen Dateien speichern…</translation>
    </message>
    <message>
        <source>The demo&apos;s tracks are missing, or have chains already. Open the demo first.</source>
        <translation>Die Spuren der Demo fehlen oder haben schon Ketten. Öffne zuerst die Demo.</translation>
    </message>
    <message>
        <source>Day or night theme</source>
        <translation>Tag- oder Nachtfarben</translation>
    </message>
    <message>
        <source>Go to the start</source>
        <translation>Zum Anfang</translation>
    </message>
    <message>
        <source>Go to just before the mix&apos;s peak</source>
        <translation>Kurz vor die Spitze des Mixes</translation>
    </message>
    <message>
        <source>Loop the most dynamic passage</source>
        <translation>Loop über die dynamischste Passage</translation>
    </message>
    <message>
        <source>Snap to beats, if the song has a tempo</source>
        <translation>An Schlägen einrasten, wenn der Song ein Tempo hat</translation>
    </message>
    <message>
        <source>Extend the loop by the next section</source>
        <translation>Loop um den nächsten Abschnitt erweitern</translation>
    </message>
    <message>
        <source>Extend the loop by the previous section</source>
        <translation>Loop um den vorigen Abschnitt erweitern</translation>
    </message>
    <message>
        <source>Next section; a loop follows</source>
        <translation>Nächster Abschnitt; ein Loop geht mit</translation>
    </message>
    <message>
        <source>Start of the section, or previous section</source>
        <translation>Anfang des Abschnitts oder voriger Abschnitt</translation>
    </message>
    <message>
        <source>Move the selected tracks up</source>
        <translation>Ausgewählte Spuren nach oben</translation>
    </message>
    <message>
        <source>Move the selected tracks down</source>
        <translation>Ausgewählte Spuren nach unten</translation>
    </message>
    <message>
        <source>Rename the track</source>
        <translation>Spur umbenennen</translation>
    </message>
    <message>
        <source>Duplicate the selected tracks</source>
        <translation>Ausgewählte Spuren duplizieren</translation>
    </message>
    <message>
        <source>Duplicate tracks</source>
        <translation>Spuren duplizieren</translation>
    </message>
    <message>
        <source>Anchor: a track that the mix is built on</source>
        <translation>Anker: eine Spur, auf der der Mix aufbaut</translation>
    </message>
    <message>
        <source>Fold the track&apos;s family; a click unfolds it</source>
        <translation>Familie der Spur einklappen; ein Klick klappt sie aus</translation>
    </message>
    <message>
        <source>Mute the selected tracks</source>
        <translation>Ausgewählte Spuren stumm</translation>
    </message>
    <message>
        <source>Solo the selected tracks</source>
        <translation>Ausgewählte Spuren solo</translation>
    </message>
    <message>
        <source>Solo only the selected tracks</source>
        <translation>Nur die ausgewählten Spuren solo</translation>
    </message>
    <message>
        <source>Solo safe: stays on while others are soloed</source>
        <translation>Solo-Safe: bleibt an, während andere solo sind</translation>
    </message>
    <message>
        <source>Select all tracks</source>
        <translation>Alle Spuren auswählen</translation>
    </message>
    <message>
        <source>Remove the selected tracks</source>
        <translation>Ausgewählte Spuren entfernen</translation>
    </message>
    <message>
        <source>Phase and polarity of the selected tracks, or of microphones of one source</source>
        <translation>Phase und Polarität der ausgewählten Spuren oder der Mikrofone einer Quelle</translation>
    </message>
    <message>
        <source>Gather: clips and findings of the track</source>
        <translation>Sammeln: Clips und Befunde der Spur</translation>
    </message>
    <message>
        <source>Gather: cut out the marked stretch</source>
        <translation>Sammeln: markierten Bereich herausschneiden</translation>
    </message>
    <message>
        <source>Hear the song with all faders and pans at zero, and back</source>
        <translation>Den Song mit allen Fadern und Panoramen auf null hören, und zurück</translation>
    </message>
    <message>
        <source>Stage: table of levels before and after</source>
        <translation>Einpegeln: Tabelle der Pegel vorher und nachher</translation>
    </message>
    <message>
        <source>Target window of the selected tracks…</source>
        <translation>Zielfenster der ausgewählten Spuren…</translation>
    </message>
    <message>
        <source>Tame the spikes of the selected tracks</source>
        <translation>Ausreißer der ausgewählten Spuren zähmen</translation>
    </message>
    <message>
        <source>Stage: all trims to 0, except locked tracks</source>
        <translation>Einpegeln: alle Trims auf 0, außer gesperrten Spuren</translation>
    </message>
    <message>
        <source>Stage the selected tracks without the marked stretch; again: with the whole song</source>
        <translation>Ausgewählte Spuren ohne den markierten Bereich einpegeln; nochmals: mit dem ganzen Song</translation>
    </message>
    <message>
        <source>Bypass the selected processor</source>
        <translation>Ausgewählten Prozessor umgehen</translation>
    </message>
    <message>
        <source>Bypass the chain of the track</source>
        <translation>Kette der Spur umgehen</translation>
    </message>
    <message>
        <source>Bypass all chains</source>
        <translation>Alle Ketten umgehen</translation>
    </message>
    <message>
        <source>Whole-song figures of the current monitoring: solos, or a bus alone</source>
        <translation>Werte des ganzen Songs für das aktuelle Abhören: Solos oder ein Bus allein</translation>
    </message>
    <message>
        <source>The current monitoring</source>
        <translation>Das aktuelle Abhören</translation>
    </message>
    <message>
        <source>The soloed tracks</source>
        <translation>Die Solospuren</translation>
    </message>
    <message>
        <source>%1, whole song: peak %2 at %3, true peak %4, %5 (%6), loudness %7.</source>
        <translation>%1, ganzer Song: Spitzenpegel %2 bei %3, True Peak %4, %5 (%6), Lautheit %7.</translation>
    </message>
    <message>
        <source>Compare: switch between the mix and the last print or reference</source>
        <translation>Vergleichen: zwischen Mix und letztem Zwischenstand oder letzter Referenz wechseln</translation>
    </message>
    <message>
        <source>Compare: switch, from the start of the passage or section</source>
        <translation>Vergleichen: wechseln, vom Anfang der Passage oder des Abschnitts</translation>
    </message>
    <message>
        <source>Compare: next print or reference</source>
        <translation>Vergleichen: nächster Zwischenstand oder nächste Referenz</translation>
    </message>
    <message>
        <source>Automation: read mode for all tracks</source>
        <translation>Automation: Schreibmodus Read für alle Spuren</translation>
    </message>
    <message>
        <source>Automation: touch mode for all tracks</source>
        <translation>Automation: Schreibmodus Touch für alle Spuren</translation>
    </message>
    <message>
        <source>Reset all clip lights and peak holds</source>
        <translation>Alle Clip-Anzeigen und gehaltenen Spitzen zurücksetzen</translation>
    </message>
    <message>
        <source>Track above, track below; with Shift the selection grows</source>
        <translation>Spur darüber, Spur darunter; mit Umschalt wächst die Auswahl</translation>
    </message>
    <message>
        <source>Value back to 0 dB, like a double click</source>
        <translation>Wert zurück auf 0 dB, wie ein Doppelklick</translation>
    </message>
    <message>
        <source>Stage: stage the selected tracks, lock them</source>
        <translation>Einpegeln: ausgewählte Spuren einpegeln, sperren</translation>
    </message>
    <message>
        <source>Automation: point at the playhead, delete points, their shape, lock them</source>
        <translation>Automation: Punkt an der Abspielposition, Punkte löschen, ihre Form, sperren</translation>
    </message>
    <message>
        <source>Automation: compress and expand the values or times of the selected points</source>
        <translation>Automation: Werte oder Zeiten der ausgewählten Punkte stauchen und dehnen</translation>
    </message>
    <message>
        <source>Automation: select points; in the strip above, mark another stretch</source>
        <translation>Automation: Punkte auswählen; im Streifen darüber einen weiteren Bereich markieren</translation>
    </message>
    <message>
        <source>Automation: copy a stretch, paste it at the playhead, type a point</source>
        <translation>Automation: Bereich kopieren, an der Abspielposition einfügen, Punkt eingeben</translation>
    </message>
    <message>
        <source>Automation: bypass the ride that is shown</source>
        <translation>Automation: gezeigte Automation umgehen</translation>
    </message>
    <message>
        <source>Automation: previous point, next point; arrow keys move it</source>
        <translation>Automation: voriger Punkt, nächster Punkt; Pfeiltasten bewegen ihn</translation>
    </message>
    <message>
        <source>Balance: masking, which tracks cover the selected one</source>
        <translation>Balance: Verdeckung, welche Spuren die ausgewählte verdecken</translation>
    </message>
    <message>
        <source>Balance: loss in mono, track by track</source>
        <translation>Balance: Verlust in Mono, Spur für Spur</translation>
    </message>
    <message>
        <source>Bus of the selected tracks, or of the track&apos;s family</source>
        <translation>Bus der ausgewählten Spuren oder der Familie der Spur</translation>
    </message>
    <message>
        <source>Group of the selected tracks, or of the track&apos;s family</source>
        <translation>Gruppe der ausgewählten Spuren oder der Familie der Spur</translation>
    </message>
    <message>
        <source>Mirror the pans of the selected tracks, in pairs</source>
        <translation>Panorama der ausgewählten Spuren spiegeln, je zwei</translation>
    </message>
    <message>
        <source>Spread the selected tracks evenly from left to right</source>
        <translation>Ausgewählte Spuren gleichmäßig von links nach rechts verteilen</translation>
    </message>
    <message>
        <source>Monitor: reset to the unaltered mix</source>
        <translation>Abhören: zurück zum unveränderten Mix</translation>
    </message>
    <message>
        <source>Hear the selected tracks before the fader, the rest dimmed</source>
        <translation>Ausgewählte Spuren vor dem Fader hören, der Rest gedämpft</translation>
    </message>
    <message>
        <source>Hear the selected tracks after the fader, the rest dimmed</source>
        <translation>Ausgewählte Spuren nach dem Fader hören, der Rest gedämpft</translation>
    </message>
    <message>
        <source>Store the selected tracks as selection %1</source>
        <translation>Ausgewählte Spuren als Auswahl %1 merken</translation>
    </message>
    <message>
        <source>Store the selection</source>
        <translation>Auswahl merken</translation>
    </message>
    <message>
        <source>Recall selection %1</source>
        <translation>Auswahl %1 abrufen</translation>
    </message>
    <message>
        <source>Mark a stretch first: Shift and drag on the song map.</source>
        <translation>Markiere zuerst einen Bereich: Umschalt und Ziehen in der Songkarte.</translation>
    </message>
    <message>
        <source>Target window of these tracks</source>
        <translation>Zielfenster dieser Spuren</translation>
    </message>
    <message>
        <source>measure low high (peak, average, true_peak, short_term, vu); leave empty for the target sheet</source>
        <translation>Maß tief hoch (peak, average, true_peak, short_term, vu); leer für das Zielblatt</translation>
    </message>
    <message>
        <source>Target window %1</source>
        <translation>Zielfenster %1</translation>
    </message>
    <message>
        <source>Move tracks up</source>
        <translation>Spuren nach oben</translation>
    </message>
    <message>
        <source>Move tracks down</source>
        <translation>Spuren nach unten</translation>
    </message>
    <message>
        <source>Explain a control…</source>
        <translation>Bedienelement erklären…</translation>
    </message>
    <message>
        <source>Shape: suggestions for the chain of the track: low cut, compressor, sidechain ducking</source>
        <translation>Formen: Vorschläge für die Kette der Spur: Low Cut, Kompressor, Sidechain-Ducking</translation>
    </message>
    <message>
        <source>Files, settings, keys and the guide. (F10)</source>
        <translation>Dateien, Einstellungen, Tasten und das Handbuch. (F10)</translation>
    </message>
    <message>
        <source>Balance: pan left or right</source>
        <translation>Balance: Panorama nach links oder rechts</translation>
    </message>
    <message>
        <source>Balance: width (or the right channel)</source>
        <translation>Balance: Breite (oder der rechte Kanal)</translation>
    </message>
    <message>
        <source>Balance: type the pan, the width</source>
        <translation>Balance: Panorama, Breite eingeben</translation>
    </message>
    <message>
        <source>The whole interface is drawn at %1 % from the next start on.</source>
        <translation>Die ganze Oberfläche wird ab dem nächsten Start mit %1 % gezeichnet.</translation>
    </message>
    <message>
        <source>Size of the interface</source>
        <translation>Größe der Oberfläche</translation>
    </message>
    <message>
        <source>Larger</source>
        <translation>Größer</translation>
    </message>
    <message>
        <source>Smaller</source>
        <translation>Kleiner</translation>
    </message>
    <message>
        <source>The sessions that were open last.</source>
        <translation>Die zuletzt geöffneten Sitzungen.</translation>
    </message>
    <message>
        <source>The whole window larger or smaller. Takes effect at the next start.</source>
        <translation>Das ganze Fenster größer oder kleiner. Gilt ab dem nächsten Start.</translation>
    </message>
    <message>
        <source>Up, Down</source>
        <translation>Hoch, Herunter</translation>
    </message>
    <message>
        <source>Left, Right</source>
        <translation>Links, Rechts</translation>
    </message>
    <message>
        <source>Enter, + or −</source>
        <translation>Enter, + oder −</translation>
    </message>
    <message>
        <source>Backspace</source>
        <translation>Rücktaste</translation>
    </message>
    <message>
        <source>P, Shift+P</source>
        <translation>P, Umschalt+P</translation>
    </message>
    <message>
        <source>Insert, Delete, T, L</source>
        <translation>Einfg, Entf, T, L</translation>
    </message>
    <message>
        <source>Ctrl and drag</source>
        <translation>Strg und Ziehen</translation>
    </message>
    <message>
        <source>Ctrl+C, Ctrl+V, Enter</source>
        <translation>Strg+C, Strg+V, Enter</translation>
    </message>
</context>
<context>
    <name>isotonus::Mains</name>
    <message>
        <source>A sample went above 0 dBFS. Click to reset. (C resets all)</source>
        <translation>Ein Sample ging über 0 dBFS. Klick setzt zurück. (C setzt alle zurück)</translation>
    </message>
    <message>
        <source>Main chain</source>
        <translation>Summenkette</translation>
    </message>
    <message>
        <source>one small speaker: nothing below 450 Hz, mono</source>
        <translation>ein kleiner Lautsprecher: nichts unter 450 Hz, mono</translation>
    </message>
    <message>
        <source>little below 200 Hz, a bump at 700 Hz</source>
        <translation>wenig unter 200 Hz, ein Buckel bei 700 Hz</translation>
    </message>
    <message>
        <source>no low end, no top, mono</source>
        <translation>keine Tiefen, keine Höhen, mono</translation>
    </message>
    <message>
        <source>a lift below 90 Hz and at 3 kHz</source>
        <translation>angehoben unter 90 Hz und bei 3 kHz</translation>
    </message>
    <message>
        <source>6 dB more below 100 Hz, less around 350 Hz</source>
        <translation>6 dB mehr unter 100 Hz, weniger um 350 Hz</translation>
    </message>
    <message>
        <source>6 dB more below 90 Hz, mono</source>
        <translation>6 dB mehr unter 90 Hz, mono</translation>
    </message>
    <message>
        <source>Correction</source>
        <translation>Korrektur</translation>
    </message>
    <message>
        <source>Curves (*.csv *.txt)</source>
        <translation>Kurven (*.csv *.txt)</translation>
    </message>
    <message>
        <source>solo</source>
        <translation>Solo</translation>
    </message>
    <message>
        <source>one track alone</source>
        <translation>eine Spur allein</translation>
    </message>
    <message>
        <source>blind comparison</source>
        <translation>Blindvergleich</translation>
    </message>
    <message>
        <source>not the mix (F6)</source>
        <translation>nicht der Mix (F6)</translation>
    </message>
    <message>
        <source>%1 for comparing</source>
        <translation>%1 zum Vergleichen</translation>
    </message>
    <message>
        <source>before the fader</source>
        <translation>vor dem Fader</translation>
    </message>
    <message>
        <source>after the fader</source>
        <translation>nach dem Fader</translation>
    </message>
    <message>
        <source>phone</source>
        <translation>Telefon</translation>
    </message>
    <message>
        <source>laptop</source>
        <translation>Laptop</translation>
    </message>
    <message>
        <source>radio</source>
        <translation>Radio</translation>
    </message>
    <message>
        <source>car</source>
        <translation>Auto</translation>
    </message>
    <message>
        <source>club</source>
        <translation>Club</translation>
    </message>
    <message>
        <source>own correction</source>
        <translation>eigene Korrektur</translation>
    </message>
    <message>
        <source>not known yet</source>
        <translation>noch nicht bekannt</translation>
    </message>
    <message>
        <source>monitor</source>
        <translation>Abhören</translation>
    </message>
    <message>
        <source>main fader</source>
        <translation>Summenfader</translation>
    </message>
    <message>
        <source>Peak before this change</source>
        <translation>Spitze davor</translation>
    </message>
    <message>
        <source>measuring…</source>
        <translation>wird gemessen…</translation>
    </message>
    <message>
        <source>silent</source>
        <translation>still</translation>
    </message>
    <message>
        <source>%1 above its window</source>
        <translation>%1 über dem Fenster</translation>
    </message>
    <message>
        <source>%1 below its window</source>
        <translation>%1 unter dem Fenster</translation>
    </message>
    <message>
        <source>measuring the change…</source>
        <translation>die Änderung wird gemessen…</translation>
    </message>
    <message>
        <source>highest heard</source>
        <translation>höchste</translation>
    </message>
    <message>
        <source>true peak</source>
        <translation>True Peak</translation>
    </message>
    <message>
        <source>short term</source>
        <translation>Short Term</translation>
    </message>
    <message>
        <source>integrated</source>
        <translation>integriert</translation>
    </message>
    <message>
        <source>correlation</source>
        <translation>Korrelation</translation>
    </message>
    <message>
        <source>The highest sample peak that was played since the last reset. A click on the meter starts again.</source>
        <translation>Der höchste Spitzenpegel, der seit dem letzten Zurücksetzen gespielt wurde. Ein Klick auf die Anzeige beginnt neu.</translation>
    </message>
    <message>
        <source>The peak of the wave between its samples, as a converter makes it. Keep it below −1 dBTP when files become MP3.</source>
        <translation>Die Spitze der Welle zwischen den Samples, wie ein Wandler sie erzeugt. Unter −1 dBTP bleiben, wenn MP3 daraus wird.</translation>
    </message>
    <message>
        <source>The RMS average of what plays now, as plain mathematics has it. It tells how loud a passage is, not whether it clips.</source>
        <translation>Der RMS-Mittelwert dessen, was gerade spielt, rein mathematisch. Er sagt, wie laut eine Passage ist, nicht, ob sie übersteuert.</translation>
    </message>
    <message>
        <source>The RMS average of what plays now (AES17: a full-scale sine reads 0 dBFS). It tells how loud a passage is, not whether it clips.</source>
        <translation>Der RMS-Mittelwert dessen, was gerade spielt (AES17: ein voll ausgesteuerter Sinus hat 0 dBFS). Er sagt, wie laut eine Passage ist, nicht, ob sie übersteuert.</translation>
    </message>
    <message>
        <source>A quasi-peak meter (PPM): it shows peaks that last about 10 ms or longer. Use it where broadcasters ask for it.</source>
        <translation>Ein Quasi-Spitzenpegelmesser (QPPM): Er zeigt Spitzen, die etwa 10 ms oder länger dauern. Für Sender, die danach fragen.</translation>
    </message>
    <message>
        <source>Loudness of the last 3 seconds (LUFS short term). Compare verse and chorus by it.</source>
        <translation>Lautheit der letzten 3 Sekunden (LUFS Short Term). Damit Strophe und Refrain vergleichen.</translation>
    </message>
    <message>
        <source>Loudness of all that was played since the start (LUFS integrated). Streaming services level songs by it.</source>
        <translation>Lautheit von allem, was seit dem Start gespielt wurde (LUFS integriert). Danach pegeln Streamingdienste Songs ein.</translation>
    </message>
    <message>
        <source>How alike left and right are: +1 is mono, 0 unrelated, below 0 cancels in mono. Keep it above 0.</source>
        <translation>Wie ähnlich links und rechts sind: +1 ist mono, 0 ohne Zusammenhang, unter 0 löscht es sich in Mono aus. Über 0 halten.</translation>
    </message>
    <message>
        <source>PPM</source>
        <translation>QPPM</translation>
    </message>
    <message>
        <source>Switches the chain of the main output on or off as a whole. Its processors are set in Shape.</source>
        <translation>Schaltet die Kette der Summe als Ganzes an oder aus. Ihre Prozessoren stellt man unter Formen ein.</translation>
    </message>
    <message>
        <source>Dim</source>
        <translation>Dim</translation>
    </message>
    <message>
        <source>Lowers the monitoring by 20 dB, to talk over the music. (D)</source>
        <translation>Senkt das Abhören um 20 dB, um darüber zu reden. (D)</translation>
    </message>
    <message>
        <source>Quiet</source>
        <translation>Leise</translation>
    </message>
    <message>
        <source>Quiet check: lowers the monitoring by 30 dB. Parts that vanish now are too low in the mix. (Q)</source>
        <translation>Leiseprobe: senkt das Abhören um 30 dB. Was jetzt verschwindet, ist im Mix zu leise. (Q)</translation>
    </message>
    <message>
        <source>Mono</source>
        <translation>Mono</translation>
    </message>
    <message>
        <source>Sums left and right, as phones and clubs play it. Use it to find losses in mono. (O)</source>
        <translation>Summiert links und rechts, wie Telefone und Clubs es spielen. So findest du Verluste in Mono. (O)</translation>
    </message>
    <message>
        <source>Left</source>
        <translation>Links</translation>
    </message>
    <message>
        <source>Plays the left channel alone, on both speakers.</source>
        <translation>Spielt den linken Kanal allein, auf beiden Lautsprechern.</translation>
    </message>
    <message>
        <source>Right</source>
        <translation>Rechts</translation>
    </message>
    <message>
        <source>Plays the right channel alone, on both speakers.</source>
        <translation>Spielt den rechten Kanal allein, auf beiden Lautsprechern.</translation>
    </message>
    <message>
        <source>Swap</source>
        <translation>Tauschen</translation>
    </message>
    <message>
        <source>Swaps left and right. Use it to check whether the balance depends on your room.</source>
        <translation>Tauscht links und rechts. So prüfst du, ob die Balance vom Raum abhängt.</translation>
    </message>
    <message>
        <source>M/S side</source>
        <translation>Seitensignal</translation>
    </message>
    <message>
        <source>Plays the M/S side signal: the part that is lost in mono.</source>
        <translation>Spielt das Seitensignal: den Teil, den Mono verliert.</translation>
    </message>
    <message>
        <source>Speaker check</source>
        <translation>Lautsprecher-Check</translation>
    </message>
    <message>
        <source>Plays the mix as a small system would: with its limited spectrum, and in mono where the system is mono.</source>
        <translation>Spielt den Mix wie ein kleines System: mit dessen begrenztem Spektrum und in Mono, wo es mono ist.</translation>
    </message>
    <message>
        <source>Loudspeakers</source>
        <translation>Lautsprecher</translation>
    </message>
    <message>
        <source>the unaltered mix</source>
        <translation>der unveränderte Mix</translation>
    </message>
    <message>
        <source>Phone</source>
        <translation>Telefon</translation>
    </message>
    <message>
        <source>Laptop</source>
        <translation>Laptop</translation>
    </message>
    <message>
        <source>Kitchen radio</source>
        <translation>Küchenradio</translation>
    </message>
    <message>
        <source>Earphones</source>
        <translation>Ohrhörer</translation>
    </message>
    <message>
        <source>Car</source>
        <translation>Auto</translation>
    </message>
    <message>
        <source>Club, mono</source>
        <translation>Club, mono</translation>
    </message>
    <message>
        <source>Own correction…</source>
        <translation>Eigene Korrektur…</translation>
    </message>
    <message>
        <source>Loads a correction curve of your room or headphones: a CSV file with a frequency and a gain on each line.</source>
        <translation>Lädt eine Korrekturkurve für Raum oder Kopfhörer: eine CSV-Datei mit Frequenz und Gain in jeder Zeile.</translation>
    </message>
    <message>
        <source>Correction off</source>
        <translation>Korrektur aus</translation>
    </message>
    <message>
        <source>Correction &apos;%1&apos; off</source>
        <translation>Korrektur „%1“ aus</translation>
    </message>
    <message>
        <source>Cross-feed</source>
        <translation>Cross-Feed</translation>
    </message>
    <message>
        <source>For headphones: each ear hears a little of the other channel, as in front of loudspeakers.</source>
        <translation>Für Kopfhörer: Jedes Ohr hört etwas vom anderen Kanal, wie vor Lautsprechern.</translation>
    </message>
    <message>
        <source>None</source>
        <translation>Keiner</translation>
    </message>
    <message>
        <source>Near loudspeakers</source>
        <translation>Nahe Lautsprecher</translation>
    </message>
    <message>
        <source>Middle distance</source>
        <translation>Mittlerer Abstand</translation>
    </message>
    <message>
        <source>Far loudspeakers</source>
        <translation>Ferne Lautsprecher</translation>
    </message>
    <message>
        <source>Faders at zero (0)</source>
        <translation>Fader auf null (0)</translation>
    </message>
    <message>
        <source>the low end alone</source>
        <translation>die Tiefen allein</translation>
    </message>
    <message>
        <source>some tracks alone</source>
        <translation>einige Spuren allein</translation>
    </message>
    <message>
        <source>left channel</source>
        <translation>linker Kanal</translation>
    </message>
    <message>
        <source>right channel</source>
        <translation>rechter Kanal</translation>
    </message>
    <message>
        <source>left and right swapped</source>
        <translation>links und rechts getauscht</translation>
    </message>
    <message>
        <source>monitoring: %1</source>
        <translation>Abhören: %1</translation>
    </message>
    <message>
        <source>Main output, whole-song peak %1</source>
        <translation>Summe, Spitzenpegel des Songs %1</translation>
    </message>
    <message>
        <source>Returns to the unaltered mix. The correction of your room stays.</source>
        <translation>Kehrt zum unveränderten Mix zurück. Die Korrektur deines Raums bleibt.</translation>
    </message>
    <message>
        <source>The highest sample peak of the whole song, with the current settings. Click to go to just before it.</source>
        <translation>Der höchste Spitzenpegel des ganzen Songs, mit den aktuellen Einstellungen. Ein Klick geht kurz davor.</translation>
    </message>
    <message>
        <source>The live level of the main output; the bracket is its target window. Click to reset peak hold and clip light.</source>
        <translation>Der Pegel der Summe, live; die Klammer ist ihr Zielfenster. Ein Klick setzt gehaltene Spitze und Clip-Anzeige zurück.</translation>
    </message>
    <message>
        <source>Main: whole-song peak</source>
        <translation>Summe: Spitze des Songs</translation>
    </message>
    <message>
        <source>Peak after this change: up to</source>
        <translation>Spitze danach: bis zu</translation>
    </message>
    <message>
        <source>inside its window</source>
        <translation>im Fenster</translation>
    </message>
    <message>
        <source>clips: %1 over</source>
        <translation>übersteuert: %1 darüber</translation>
    </message>
    <message>
        <source>at %1; target %2 … %3</source>
        <translation>bei %1; Ziel %2 … %3</translation>
    </message>
    <message>
        <source>Clipped</source>
        <translation>Übersteuert</translation>
    </message>
    <message>
        <source>Chain</source>
        <translation>Kette</translation>
    </message>
    <message>
        <source>average plain</source>
        <translation>Mittel einfach</translation>
    </message>
    <message>
        <source>average AES17</source>
        <translation>Mittel AES17</translation>
    </message>
    <message>
        <source>Monitoring</source>
        <translation>Abhören</translation>
    </message>
    <message>
        <source>Dim, mono, speaker check and what else changes only how you hear the mix.</source>
        <translation>Dim, Mono, Lautsprecher-Check und anderes, das nur das Abhören des Mixes ändert.</translation>
    </message>
    <message>
        <source>Plays the mix without the curve again.</source>
        <translation>Spielt den Mix wieder ohne die Kurve.</translation>
    </message>
</context>
<context>
    <name>isotonus::Materials</name>
    <message>
        <source>the same audio as %1</source>
        <translation>dasselbe Audio wie %1</translation>
    </message>
    <message>
        <source>reading was cancelled</source>
        <translation>das Lesen wurde abgebrochen</translation>
    </message>
</context>
<context>
    <name>isotonus::Microphones</name>
    <message>
        <source>Align %1</source>
        <translation>%1 ausrichten</translation>
    </message>
</context>
<context>
    <name>isotonus::MonitorLevel</name>
    <message>
        <source>Monitor level %1: how loud you hear it. It changes neither the mix nor an export.</source>
        <translation>Abhörpegel %1: wie laut du es hörst. Er ändert weder den Mix noch einen Export.</translation>
    </message>
    <message>
        <source>monitor level</source>
        <translation>Abhörpegel</translation>
    </message>
</context>
<context>
    <name>isotonus::MonoPage</name>
    <message>
        <source>… dB</source>
        <translation>… dB</translation>
    </message>
    <message>
        <source>gone</source>
        <translation>weg</translation>
    </message>
    <message>
        <source>In mono the whole mix changes by %1. By track, the greatest loss first (0 dB: no loss):</source>
        <translation>In Mono ändert sich der ganze Mix um %1. Nach Spuren, der größte Verlust zuerst (0 dB: kein Verlust):</translation>
    </message>
</context>
<context>
    <name>isotonus::NotesPage</name>
    <message>
        <source>Listening notes</source>
        <translation>Hörnotizen</translation>
    </message>
    <message>
        <source>Done</source>
        <translation>Erledigt</translation>
    </message>
    <message>
        <source>Note at the playhead…</source>
        <translation>Notiz an der Abspielposition…</translation>
    </message>
    <message>
        <source>Remove</source>
        <translation>Entfernen</translation>
    </message>
    <message>
        <source>On the hand-off sheet</source>
        <translation>Auf das Begleitblatt</translation>
    </message>
    <message>
        <source>Listening note</source>
        <translation>Hörnotiz</translation>
    </message>
    <message>
        <source>Notes on the sheet</source>
        <translation>Notizen auf das Blatt</translation>
    </message>
    <message>
        <source>Notes not on the sheet</source>
        <translation>Notizen nicht auf das Blatt</translation>
    </message>
    <message>
        <source>the room</source>
        <translation>dem Raum</translation>
    </message>
    <message>
        <source>Time</source>
        <translation>Zeit</translation>
    </message>
    <message>
        <source>System</source>
        <translation>System</translation>
    </message>
    <message>
        <source>Note</source>
        <translation>Notiz</translation>
    </message>
    <message>
        <source>Notes what you hear at the playhead. The active speaker check is noted with it. (Shift+N)</source>
        <translation>Notiert, was du an der Abspielposition hörst. Der aktive Lautsprecher-Check wird mitnotiert. (Umschalt+N)</translation>
    </message>
    <message>
        <source>Edit…</source>
        <translation>Bearbeiten…</translation>
    </message>
    <message>
        <source>Changes the text of the note.</source>
        <translation>Ändert den Text der Notiz.</translation>
    </message>
    <message>
        <source>System…</source>
        <translation>System…</translation>
    </message>
    <message>
        <source>The system on which you noticed it, such as car or phone.</source>
        <translation>Das System, auf dem es dir auffiel, etwa Auto oder Telefon.</translation>
    </message>
    <message>
        <source>Removes the note. Undo restores it.</source>
        <translation>Entfernt die Notiz. Rückgängig stellt sie wieder her.</translation>
    </message>
    <message>
        <source>Prints open notes on the hand-off sheet.</source>
        <translation>Druckt offene Notizen auf das Begleitblatt.</translation>
    </message>
    <message>
        <source>Edit a note</source>
        <translation>Notiz bearbeiten</translation>
    </message>
    <message>
        <source>System: %1</source>
        <translation>System: %1</translation>
    </message>
    <message>
        <source>Mark a note as done</source>
        <translation>Notiz als erledigt markieren</translation>
    </message>
    <message>
        <source>Reopen a note</source>
        <translation>Notiz wieder öffnen</translation>
    </message>
    <message>
        <source>Text of the note</source>
        <translation>Text der Notiz</translation>
    </message>
    <message>
        <source>Tick a note when you have dealt with it.</source>
        <translation>Hake eine Notiz ab, wenn sie erledigt ist.</translation>
    </message>
    <message>
        <source>Where in the song you noticed it. Double click to go there.</source>
        <translation>Wo im Song es dir auffiel. Ein Doppelklick führt dorthin.</translation>
    </message>
    <message>
        <source>What you noticed.</source>
        <translation>Was dir auffiel.</translation>
    </message>
    <message>
        <source>The system on which you noticed it.</source>
        <translation>Das System, auf dem es dir auffiel.</translation>
    </message>
    <message>
        <source>Made</source>
        <translation>Erstellt</translation>
    </message>
    <message>
        <source>When you made the note.</source>
        <translation>Wann du die Notiz gemacht hast.</translation>
    </message>
</context>
<context>
    <name>isotonus::PanelHandle</name>
    <message>
        <source>Drag to change the height of the panel. Double click to restore its height.</source>
        <translation>Ziehen ändert die Höhe des Felds. Doppelklick stellt sie wieder her.</translation>
    </message>
    <message>
        <source>Height of the panel</source>
        <translation>Höhe des Bereichs</translation>
    </message>
</context>
<context>
    <name>isotonus::PhaseDialog</name>
    <message>
        <source>Phase and polarity</source>
        <translation>Phase und Polarität</translation>
    </message>
    <message>
        <source>Reference</source>
        <translation>Referenz</translation>
    </message>
    <message>
        <source>−0.1 ms</source>
        <translation>−0,1 ms</translation>
    </message>
    <message>
        <source>−1 sample</source>
        <translation>−1 Sample</translation>
    </message>
    <message>
        <source>+1 sample</source>
        <translation>+1 Sample</translation>
    </message>
    <message>
        <source>+0.1 ms</source>
        <translation>+0,1 ms</translation>
    </message>
    <message>
        <source>Invert polarity</source>
        <translation>Polarität invertieren</translation>
    </message>
    <message>
        <source>Align all</source>
        <translation>Alle ausrichten</translation>
    </message>
    <message>
        <source>Undo</source>
        <translation>Rückgängig</translation>
    </message>
    <message>
        <source>reference</source>
        <translation>Referenz</translation>
    </message>
    <message>
        <source>no file</source>
        <translation>keine Datei</translation>
    </message>
    <message>
        <source>%1 samples</source>
        <translation>%1 Samples</translation>
    </message>
    <message>
        <source>%1 ms</source>
        <translation>%1 ms</translation>
    </message>
    <message>
        <source>%1 cm</source>
        <translation>%1 cm</translation>
    </message>
    <message>
        <source>inverted</source>
        <translation>invertiert</translation>
    </message>
    <message>
        <source>same</source>
        <translation>gleich</translation>
    </message>
    <message>
        <source>as recorded</source>
        <translation>wie aufgenommen</translation>
    </message>
    <message>
        <source>Delay %1 %2 samples</source>
        <translation>Verzögerung %1 %2 Samples</translation>
    </message>
    <message>
        <source>Invert polarity of %1</source>
        <translation>Polarität von %1 invertieren</translation>
    </message>
    <message>
        <source>Microphones of one source</source>
        <translation>Mikrofone einer Quelle</translation>
    </message>
    <message>
        <source>Tracks that may be microphones of one source. Isotonus finds them by their names and confirms them by their sound.</source>
        <translation>Spuren, die Mikrofone einer Quelle sein können. Isotonus findet sie nach ihren Namen und bestätigt sie durch ihren Klang.</translation>
    </message>
    <message>
        <source>Microphones</source>
        <translation>Mikrofone</translation>
    </message>
    <message>
        <source>The microphone that stays where it is. Choose the one closest to the source.</source>
        <translation>Das Mikrofon, das bleibt, wo es ist. Nimm das der Quelle nächste.</translation>
    </message>
    <message>
        <source>Channel</source>
        <translation>Kanal</translation>
    </message>
    <message>
        <source>Moves this track 0.1 ms earlier.</source>
        <translation>Schiebt diese Spur 0,1 ms früher.</translation>
    </message>
    <message>
        <source>Moves this track one sample earlier.</source>
        <translation>Schiebt diese Spur ein Sample früher.</translation>
    </message>
    <message>
        <source>Moves this track one sample later.</source>
        <translation>Schiebt diese Spur ein Sample später.</translation>
    </message>
    <message>
        <source>Moves this track 0.1 ms later.</source>
        <translation>Schiebt diese Spur 0,1 ms später.</translation>
    </message>
    <message>
        <source>Turns the waveform of this track upside down. Use it when microphones cancel each other.</source>
        <translation>Stellt die Wellenform dieser Spur auf den Kopf. Wenn Mikrofone einander auslöschen.</translation>
    </message>
    <message>
        <source>Align this track</source>
        <translation>Diese Spur ausrichten</translation>
    </message>
    <message>
        <source>Sets delay and polarity of each track whose match is clear. Undo restores them.</source>
        <translation>Setzt Verzögerung und Polarität jeder Spur, deren Übereinstimmung klar ist. Rückgängig stellt sie wieder her.</translation>
    </message>
    <message>
        <source>Searching for microphones of one source…</source>
        <translation>Mikrofone einer Quelle werden gesucht…</translation>
    </message>
    <message>
        <source>No microphones of one source were found. Select two or more tracks to compare them anyway.</source>
        <translation>Keine Mikrofone einer Quelle gefunden. Wähle zwei oder mehr Spuren, um sie trotzdem zu vergleichen.</translation>
    </message>
    <message>
        <source>Comparing the strongest hits of both…</source>
        <translation>Die stärksten Schläge beider werden verglichen…</translation>
    </message>
    <message>
        <source>Aligned microphones add up instead of cancelling each other. The last column shows how much the low end gains. Undo restores the delays.</source>
        <translation>Ausgerichtete Mikrofone addieren sich, statt sich auszulöschen. Die letzte Spalte zeigt, was die Tiefen gewinnen. Rückgängig stellt die Verzögerungen wieder her.</translation>
    </message>
    <message>
        <source>No track matches the reference closely enough to be aligned. Choose another reference.</source>
        <translation>Keine Spur stimmt eng genug mit der Referenz überein. Wähle eine andere Referenz.</translation>
    </message>
    <message>
        <source>%1: delay %2 samples (%3 ms), polarity %4</source>
        <translation>%1: Verzögerung %2 Samples (%3 ms), Polarität %4</translation>
    </message>
    <message numerus="yes">
        <source>Align %n track(s) to %1</source>
        <translation>
            <numerusform>%n Spur an %1 ausrichten</numerusform>
            <numerusform>%n Spuren an %1 ausrichten</numerusform>
        </translation>
    </message>
    <message>
        <source>Delay and polarity against the reference</source>
        <translation>Verzögerung und Polarität gegen die Referenz</translation>
    </message>
    <message>
        <source>The track of a microphone.</source>
        <translation>Die Spur eines Mikrofons.</translation>
    </message>
    <message>
        <source>Delay</source>
        <translation>Verzögerung</translation>
    </message>
    <message>
        <source>How much later the sound arrives than at the reference, in samples.</source>
        <translation>Wie viel später als an der Referenz der Klang ankommt, in Samples.</translation>
    </message>
    <message>
        <source>Time</source>
        <translation>Zeit</translation>
    </message>
    <message>
        <source>The same delay in milliseconds.</source>
        <translation>Dieselbe Verzögerung in Millisekunden.</translation>
    </message>
    <message>
        <source>Distance in air</source>
        <translation>Weg in der Luft</translation>
    </message>
    <message>
        <source>How far sound travels in this time: the microphone was farther away by as much.</source>
        <translation>Wie weit Schall in dieser Zeit kommt: So viel weiter weg stand das Mikrofon.</translation>
    </message>
    <message>
        <source>Polarity</source>
        <translation>Polarität</translation>
    </message>
    <message>
        <source>Whether the wave swings the same way as that of the reference.</source>
        <translation>Ob die Welle in dieselbe Richtung schwingt wie die der Referenz.</translation>
    </message>
    <message>
        <source>Correlation</source>
        <translation>Korrelation</translation>
    </message>
    <message>
        <source>How alike the two tracks are now: +1 is the same, 0 unrelated, −1 opposite.</source>
        <translation>Wie ähnlich die beiden Spuren jetzt sind: +1 ist gleich, 0 unabhängig, −1 gegenläufig.</translation>
    </message>
    <message>
        <source>Aligned</source>
        <translation>Ausgerichtet</translation>
    </message>
    <message>
        <source>How alike they are with delay and polarity corrected.</source>
        <translation>Wie ähnlich sie sind, wenn Verzögerung und Polarität berichtigt sind.</translation>
    </message>
    <message>
        <source>Below 200 Hz</source>
        <translation>Unter 200 Hz</translation>
    </message>
    <message>
        <source>How much the low end of their sum gains when they are aligned.</source>
        <translation>Wie viel der Bassbereich ihrer Summe gewinnt, wenn sie ausgerichtet sind.</translation>
    </message>
    <message>
        <source>too different to be aligned</source>
        <translation>zu verschieden zum Ausrichten</translation>
    </message>
    <message>
        <source>Undoes the last change of the session.</source>
        <translation>Macht die letzte Änderung der Sitzung rückgängig.</translation>
    </message>
</context>
<context>
    <name>isotonus::PicturePage</name>
    <message>
        <source>correlation by band: +1 mono, 0 unrelated, −1 cancels in mono</source>
        <translation>Korrelation je Band: +1 mono, 0 unabhängig, −1 löscht sich in Mono aus</translation>
    </message>
    <message>
        <source>below 120 Hz</source>
        <translation>unter 120 Hz</translation>
    </message>
    <message>
        <source>120 – 500 Hz</source>
        <translation>120 – 500 Hz</translation>
    </message>
    <message>
        <source>500 Hz – 2 kHz</source>
        <translation>500 Hz – 2 kHz</translation>
    </message>
    <message>
        <source>2 – 6 kHz</source>
        <translation>2 – 6 kHz</translation>
    </message>
    <message>
        <source>above 6 kHz</source>
        <translation>über 6 kHz</translation>
    </message>
    <message>
        <source>all together</source>
        <translation>alles zusammen</translation>
    </message>
    <message>
        <source>Left</source>
        <translation>Links</translation>
    </message>
    <message>
        <source>Right</source>
        <translation>Rechts</translation>
    </message>
</context>
<context>
    <name>isotonus::Player</name>
    <message>
        <source>%1 The simulated device keeps time instead.</source>
        <translation>%1 Stattdessen hält das simulierte Gerät die Zeit.</translation>
    </message>
</context>
<context>
    <name>isotonus::PluginDialog</name>
    <message>
        <source>Add a plug-in</source>
        <translation>Plug-in hinzufügen</translation>
    </message>
    <message>
        <source>Search</source>
        <translation>Suche</translation>
    </message>
    <message>
        <source>Plug-ins</source>
        <translation>Plug-ins</translation>
    </message>
    <message>
        <source>Add</source>
        <translation>Hinzufügen</translation>
    </message>
    <message>
        <source>A word of its name, class or maker</source>
        <translation>Ein Wort aus Name, Klasse oder Hersteller</translation>
    </message>
    <message>
        <source>Search again</source>
        <translation>Neu suchen</translation>
    </message>
    <message>
        <source>Searches this machine for new plug-ins. Each is started once, in a process of its own.</source>
        <translation>Sucht auf diesem Rechner nach neuen Plug-ins. Jedes wird einmal gestartet, in einem eigenen Prozess.</translation>
    </message>
    <message>
        <source>This plug-in was installed once, and is missing now.</source>
        <translation>Dieses Plug-in war einmal installiert und fehlt jetzt.</translation>
    </message>
    <message>
        <source>The plug-in cannot be used: %1. Choose another one.</source>
        <translation>Das Plug-in kann nicht benutzt werden: %1. Wähle ein anderes.</translation>
    </message>
    <message>
        <source>Stop the search</source>
        <translation>Suche anhalten</translation>
    </message>
    <message>
        <source>Searching for plug-ins…</source>
        <translation>Plug-ins werden gesucht…</translation>
    </message>
    <message>
        <source>No plug-in was found. Install LV2 plug-ins from Debian, and search again.</source>
        <translation>Kein Plug-in gefunden. Installiere LV2-Plug-ins aus Debian und suche neu.</translation>
    </message>
    <message>
        <source>Shows only plug-ins with these words in their name, class or maker.</source>
        <translation>Zeigt nur Plug-ins mit diesen Wörtern in Name, Klasse oder Hersteller.</translation>
    </message>
    <message>
        <source>Adds the selected plug-in to the chain.</source>
        <translation>Fügt das ausgewählte Plug-in der Kette hinzu.</translation>
    </message>
</context>
<context>
    <name>isotonus::RideEditor</name>
    <message>
        <source>no ride</source>
        <translation>keine Automation</translation>
    </message>
    <message numerus="yes">
        <source>%n point(s), %1 at the playhead</source>
        <translation>
            <numerusform>%n Punkt, %1 an der Abspielposition</numerusform>
            <numerusform>%n Punkte, %1 an der Abspielposition</numerusform>
        </translation>
    </message>
    <message>
        <source>Ride %1: %2</source>
        <translation>Automation %1: %2</translation>
    </message>
    <message>
        <source>Ride %1 of %2: %3</source>
        <translation>Automation %1 von %2: %3</translation>
    </message>
    <message>
        <source>%1 to %2</source>
        <translation>%1 bis %2</translation>
    </message>
    <message>
        <source>%1 to %2: %3</source>
        <translation>%1 bis %2: %3</translation>
    </message>
    <message>
        <source>%1, %2</source>
        <translation>%1, %2</translation>
    </message>
    <message>
        <source>%1  %2</source>
        <translation>%1  %2</translation>
    </message>
    <message>
        <source>No ride yet: click to add the first point. Up is louder; 0 dB is the fader&apos;s level.</source>
        <translation>Noch keine Automation: Ein Klick setzt den ersten Punkt. Oben ist lauter; 0 dB ist der Pegel des Faders.</translation>
    </message>
    <message>
        <source>No ride yet: click to add the first point.</source>
        <translation>Noch keine Automation: Ein Klick setzt den ersten Punkt.</translation>
    </message>
    <message>
        <source>S-shape</source>
        <translation>S-Form</translation>
    </message>
    <message>
        <source>Bypasses this ride, to compare. A bypassed ride is not exported either. (/)</source>
        <translation>Umgeht diese Automation, zum Vergleichen. Eine umgangene Automation wird auch nicht exportiert. (/)</translation>
    </message>
    <message>
        <source>Automation editor, %1 of %2</source>
        <translation>Automation bearbeiten, %1 von %2</translation>
    </message>
    <message>
        <source>Ride of %1 on</source>
        <translation>Automation von %1 an</translation>
    </message>
    <message>
        <source>Move a point to %1, %2</source>
        <translation>Punkt nach %1, %2</translation>
    </message>
    <message>
        <source>The bar shows the current value of the ride. In touch, latch or write, move it while the song plays to write the ride.</source>
        <translation>Der Balken zeigt den aktuellen Wert der Automation. In Touch, Latch oder Write schreibt seine Bewegung sie, während der Song spielt.</translation>
    </message>
    <message>
        <source>Add a point at %1, %2</source>
        <translation>Punkt bei %1, %2 setzen</translation>
    </message>
    <message>
        <source>%1 at %2, %3 ride %4. Click to add a point, drag to move it, Ctrl and drag to select.</source>
        <translation>%1 bei %2, %3 Automation %4. Klick setzt einen Punkt, Ziehen bewegt ihn, Strg und Ziehen wählt aus.</translation>
    </message>
    <message>
        <source>Drag here to mark a stretch (with Ctrl another one). Then drag the curve in it up or down.</source>
        <translation>Ziehe hier, um einen Bereich zu markieren (mit Strg einen weiteren). Dann ziehe die Kurve darin hoch oder runter.</translation>
    </message>
    <message>
        <source>Move a stretch by %1</source>
        <translation>Bereich um %1 verschieben</translation>
    </message>
    <message>
        <source>Bend %1</source>
        <translation>Biegung %1</translation>
    </message>
    <message>
        <source>bend %1 (−1 fast first … +1 slow first)</source>
        <translation>Biegung %1 (−1 erst schnell … +1 erst langsam)</translation>
    </message>
    <message>
        <source>Fill to %1, %2</source>
        <translation>Füllen bis %1, %2</translation>
    </message>
    <message>
        <source>Move a point to %1</source>
        <translation>Punkt nach %1</translation>
    </message>
    <message>
        <source>Add a point at the playhead</source>
        <translation>Punkt an der Abspielposition setzen</translation>
    </message>
    <message>
        <source>%1 of %2, bypassed</source>
        <translation>%1 von %2, umgangen</translation>
    </message>
    <message>
        <source>%1 of %2</source>
        <translation>%1 von %2</translation>
    </message>
    <message>
        <source>Clear a stretch</source>
        <translation>Bereich leeren</translation>
    </message>
    <message>
        <source>Line</source>
        <translation>Linie</translation>
    </message>
    <message>
        <source>Step</source>
        <translation>Stufe</translation>
    </message>
    <message>
        <source>Bend, slow first</source>
        <translation>Biegung, erst langsam</translation>
    </message>
    <message>
        <source>Bend, fast first</source>
        <translation>Biegung, erst schnell</translation>
    </message>
    <message>
        <source>Lock points</source>
        <translation>Punkte sperren</translation>
    </message>
    <message>
        <source>Unlock points</source>
        <translation>Punkte entsperren</translation>
    </message>
    <message>
        <source>The ride is as simple as possible: every point changes it by more than %1.</source>
        <translation>Die Automation ist so einfach wie möglich: Jeder Punkt ändert sie um mehr als %1.</translation>
    </message>
    <message>
        <source>To copy, mark a stretch in the strip above the curve, or select two points.</source>
        <translation>Markiere zum Kopieren einen Bereich im Streifen über der Kurve oder wähle zwei Punkte aus.</translation>
    </message>
    <message numerus="yes">
        <source>%n point(s) copied. Ctrl+V pastes at the playhead.</source>
        <translation>
            <numerusform>%n Punkt kopiert. Strg+V fügt an der Abspielposition ein.</numerusform>
            <numerusform>%n Punkte kopiert. Strg+V fügt an der Abspielposition ein.</numerusform>
        </translation>
    </message>
    <message>
        <source>Paste at %1</source>
        <translation>Einfügen bei %1</translation>
    </message>
    <message>
        <source>Point</source>
        <translation>Punkt</translation>
    </message>
    <message>
        <source>Time in seconds, value, and bend from −1 to +1</source>
        <translation>Zeit in Sekunden, Wert und Biegung von −1 bis +1</translation>
    </message>
    <message>
        <source>Time in seconds, and value</source>
        <translation>Zeit in Sekunden und Wert</translation>
    </message>
    <message>
        <source>&apos;%1&apos; is not a time in seconds and a value from %2 to %3. Type 12.5 −3, for example.</source>
        <translation>„%1“ ist keine Zeit in Sekunden mit einem Wert von %2 bis %3. Gib zum Beispiel 12,5 −3 ein.</translation>
    </message>
    <message>
        <source>On</source>
        <translation>An</translation>
    </message>
    <message>
        <source>Bypassed</source>
        <translation>Umgangen</translation>
    </message>
    <message numerus="yes">
        <source>Move %n point(s)</source>
        <translation>
            <numerusform>%n Punkt verschieben</numerusform>
            <numerusform>%n Punkte verschieben</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <source>Delete %n point(s)</source>
        <translation>
            <numerusform>%n Punkt löschen</numerusform>
            <numerusform>%n Punkte löschen</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <source>Simplify %1 to %n point(s)</source>
        <translation>
            <numerusform>Von %1 auf %n Punkt vereinfachen</numerusform>
            <numerusform>Von %1 auf %n Punkte vereinfachen</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <source>Scale %n point(s)</source>
        <translation>
            <numerusform>%n Punkt skalieren</numerusform>
            <numerusform>%n Punkte skalieren</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <source>Stretch %n point(s)</source>
        <translation>
            <numerusform>%n Punkt dehnen</numerusform>
            <numerusform>%n Punkte dehnen</numerusform>
        </translation>
    </message>
</context>
<context>
    <name>isotonus::RideLane</name>
    <message numerus="yes">
        <source>%n point(s)</source>
        <translation>
            <numerusform>%n Punkt</numerusform>
            <numerusform>%n Punkte</numerusform>
        </translation>
    </message>
    <message>
        <source>bypassed</source>
        <translation>umgangen</translation>
    </message>
    <message>
        <source>ride</source>
        <translation>Automation</translation>
    </message>
    <message>
        <source>%1 %2, bypassed</source>
        <translation>%1 %2, umgangen</translation>
    </message>
    <message>
        <source>%1 %2</source>
        <translation>%1 %2</translation>
    </message>
    <message>
        <source>Trim the ride %1 by %2</source>
        <translation>Automation %1 um %2 trimmen</translation>
    </message>
    <message>
        <source>Touch</source>
        <translation>Touch</translation>
    </message>
    <message>
        <source>Latch</source>
        <translation>Latch</translation>
    </message>
    <message>
        <source>Write</source>
        <translation>Write</translation>
    </message>
    <message>
        <source>no ride</source>
        <translation>keine Automation</translation>
    </message>
    <message>
        <source>%1: %2. Click to edit the ride below. The keys Left and Right lower and raise the whole ride; Enter changes it by a typed value.</source>
        <translation>%1: %2. Ein Klick öffnet die Automation unten. Die Tasten Links und Rechts senken und heben sie ganz; Enter ändert sie um einen getippten Wert.</translation>
    </message>
</context>
<context>
    <name>isotonus::RidePanel</name>
    <message>
        <source>All rides of the session</source>
        <translation>Alle Automationen der Sitzung</translation>
    </message>
    <message>
        <source>Bend</source>
        <translation>Biegung</translation>
    </message>
    <message>
        <source>Lock</source>
        <translation>Sperren</translation>
    </message>
    <message>
        <source>Delete</source>
        <translation>Löschen</translation>
    </message>
    <message>
        <source>Clear</source>
        <translation>Leeren</translation>
    </message>
    <message>
        <source>More</source>
        <translation>Mehr</translation>
    </message>
    <message>
        <source>Draft…</source>
        <translation>Entwurf…</translation>
    </message>
    <message>
        <source>Draft against the rest of the mix…</source>
        <translation>Entwurf gegen den Rest des Mixes…</translation>
    </message>
    <message>
        <source>Fade-out…</source>
        <translation>Fade-out…</translation>
    </message>
    <message>
        <source>Fade-out</source>
        <translation>Fade-out</translation>
    </message>
    <message>
        <source>from, s</source>
        <translation>von, s</translation>
    </message>
    <message>
        <source>to, s</source>
        <translation>bis, s</translation>
    </message>
    <message>
        <source>Lift</source>
        <translation>Anhebung</translation>
    </message>
    <message>
        <source>Tremolo on the grid…</source>
        <translation>Tremolo im Raster…</translation>
    </message>
    <message>
        <source>Mark the words first: drag in the strip above the curve, with Ctrl the next ones too.</source>
        <translation>Markiere zuerst die Worte: Ziehen im Streifen über der Kurve, mit Strg auch die nächsten.</translation>
    </message>
    <message>
        <source>Throw</source>
        <translation>Wurf</translation>
    </message>
    <message>
        <source>Copy the marked stretch (Ctrl+C)</source>
        <translation>Markierte Strecke kopieren (Strg+C)</translation>
    </message>
    <message>
        <source>Paste at the playhead (Ctrl+V)</source>
        <translation>An der Abspielposition einfügen (Strg+V)</translation>
    </message>
    <message>
        <source>Paste at a section</source>
        <translation>An einem Abschnitt einfügen</translation>
    </message>
    <message>
        <source>Show all values</source>
        <translation>Alle Werte zeigen</translation>
    </message>
    <message>
        <source>Trim the whole ride…</source>
        <translation>Die ganze Automation trimmen…</translation>
    </message>
    <message>
        <source>Trim of the ride</source>
        <translation>Trim der Automation</translation>
    </message>
    <message>
        <source>Type the point (Enter)</source>
        <translation>Punkt eingeben (Enter)</translation>
    </message>
    <message>
        <source>Return time of touch…</source>
        <translation>Rückkehrzeit von Touch…</translation>
    </message>
    <message>
        <source>Touch</source>
        <translation>Touch</translation>
    </message>
    <message>
        <source>return time, s</source>
        <translation>Rückkehrzeit, s</translation>
    </message>
    <message>
        <source>Save the points as a table (CSV)…</source>
        <translation>Punkte als Tabelle speichern (CSV)…</translation>
    </message>
    <message>
        <source>Points from a table (CSV)…</source>
        <translation>Punkte aus einer Tabelle (CSV)…</translation>
    </message>
    <message>
        <source>Simulated fader box</source>
        <translation>Simulierte Faderbox</translation>
    </message>
    <message>
        <source>Faders over MIDI</source>
        <translation>Fader über MIDI</translation>
    </message>
    <message numerus="yes">
        <source>%n point(s)</source>
        <translation>
            <numerusform>%n Punkt</numerusform>
            <numerusform>%n Punkte</numerusform>
        </translation>
    </message>
    <message>
        <source>level of each phrase after the trim, dBFS AES17</source>
        <translation>Pegel jeder Phrase nach dem Trim, dBFS AES17</translation>
    </message>
    <message>
        <source>Ride draft</source>
        <translation>Entwurf der Automation</translation>
    </message>
    <message>
        <source>Ride draft against the rest</source>
        <translation>Entwurf gegen den Rest</translation>
    </message>
    <message>
        <source>depth, %</source>
        <translation>Tiefe, %</translation>
    </message>
    <message numerus="yes">
        <source>draft of %n point(s)</source>
        <translation>
            <numerusform>Entwurf mit %n Punkt</numerusform>
            <numerusform>Entwurf mit %n Punkten</numerusform>
        </translation>
    </message>
    <message>
        <source>Tremolo</source>
        <translation>Tremolo</translation>
    </message>
    <message>
        <source>period, s</source>
        <translation>Periode, s</translation>
    </message>
    <message>
        <source>period, beats</source>
        <translation>Periode, Schläge</translation>
    </message>
    <message>
        <source>depth</source>
        <translation>Tiefe</translation>
    </message>
    <message>
        <source>Bypass all rides</source>
        <translation>Alle Automationen umgehen</translation>
    </message>
    <message>
        <source>Bypass the rides of %1</source>
        <translation>Automation von %1 umgehen</translation>
    </message>
    <message>
        <source>The ride as a table</source>
        <translation>Die Automation als Tabelle</translation>
    </message>
    <message>
        <source>CSV (*.csv)</source>
        <translation>CSV (*.csv)</translation>
    </message>
    <message>
        <source>A ride from a table</source>
        <translation>Eine Automation aus einer Tabelle</translation>
    </message>
    <message>
        <source>Rides of %1</source>
        <translation>Automation von %1</translation>
    </message>
    <message>
        <source>Parameter</source>
        <translation>Parameter</translation>
    </message>
    <message>
        <source>Shows the lane of this parameter; with Ctrl in addition to the others.</source>
        <translation>Zeigt die Bahn dieses Parameters; mit Strg zusätzlich zu den anderen.</translation>
    </message>
    <message>
        <source>Write mode</source>
        <translation>Schreibmodus</translation>
    </message>
    <message>
        <source>Read</source>
        <translation>Read</translation>
    </message>
    <message>
        <source>Read: the ride plays. Moving a control sets it without writing.</source>
        <translation>Read: Die Automation spielt. Ein bewegter Regler wird gesetzt, ohne zu schreiben.</translation>
    </message>
    <message>
        <source>Touch: while the song plays, a held control is written. When you let go, the control returns to the ride.</source>
        <translation>Touch: Während der Song spielt, wird ein gehaltener Regler geschrieben. Losgelassen kehrt er zur Automation zurück.</translation>
    </message>
    <message>
        <source>Latch</source>
        <translation>Latch</translation>
    </message>
    <message>
        <source>Latch: writes from the first touch until the song stops.</source>
        <translation>Latch: schreibt von der ersten Berührung, bis der Song anhält.</translation>
    </message>
    <message>
        <source>Write</source>
        <translation>Write</translation>
    </message>
    <message>
        <source>Write: replaces the ride from where the song starts until it stops.</source>
        <translation>Write: überschreibt die Automation vom Start des Songs, bis er anhält.</translation>
    </message>
    <message>
        <source>With Ctrl for all tracks.</source>
        <translation>Mit Strg für alle Spuren.</translation>
    </message>
    <message>
        <source>Edit</source>
        <translation>Bearbeiten</translation>
    </message>
    <message>
        <source>Sets the shape of the ride up to the next point: line, step, bends, S-shape. (T)</source>
        <translation>Setzt die Form der Automation bis zum nächsten Punkt: Linie, Stufe, Biegungen, S-Form. (T)</translation>
    </message>
    <message>
        <source>Locks the selected points: a draft leaves them, and the ride between them, as they are. (L)</source>
        <translation>Sperrt die ausgewählten Punkte: Ein Entwurf lässt sie und den Verlauf dazwischen, wie sie sind. (L)</translation>
    </message>
    <message>
        <source>Simplify</source>
        <translation>Vereinfachen</translation>
    </message>
    <message>
        <source>Deletes points that hardly change the ride.</source>
        <translation>Löscht Punkte, die die Automation kaum ändern.</translation>
    </message>
    <message>
        <source>Deletes the selected points, or the points of the marked stretch. (Delete)</source>
        <translation>Löscht die ausgewählten Punkte oder die des markierten Bereichs. (Entf)</translation>
    </message>
    <message>
        <source>Deletes the whole ride. Undo restores it.</source>
        <translation>Löscht die ganze Automation. Rückgängig stellt sie wieder her.</translation>
    </message>
    <message>
        <source>Clear the ride</source>
        <translation>Automation leeren</translation>
    </message>
    <message>
        <source>Copy, paste, fill, trim, tables, and faders over MIDI.</source>
        <translation>Kopieren, Einfügen, Füllen, Trimmen, Tabellen und Fader über MIDI.</translation>
    </message>
    <message>
        <source>Suggestions</source>
        <translation>Vorschläge</translation>
    </message>
    <message>
        <source>Drafts a ride that brings every phrase to one level. Edit its points like any others.</source>
        <translation>Entwirft eine Automation, die jede Phrase auf einen Pegel bringt. Ihre Punkte sind Punkte wie alle anderen.</translation>
    </message>
    <message>
        <source>More drafts</source>
        <translation>Weitere</translation>
    </message>
    <message>
        <source>Drafts against the mix, fade-out, lift, dips at another track&apos;s hits, tremolo, throw.</source>
        <translation>Entwürfe gegen den Mix, Fade-out, Anhebung, Senken an den Schlägen einer anderen Spur, Tremolo, Wurf.</translation>
    </message>
    <message>
        <source>Family</source>
        <translation>Familie</translation>
    </message>
    <message>
        <source>Shows this parameter for all tracks of the family.</source>
        <translation>Zeigt diesen Parameter für alle Spuren der Familie.</translation>
    </message>
    <message>
        <source>Bypass</source>
        <translation>Bypass</translation>
    </message>
    <message>
        <source>Plays this track without its rides, to compare; with Ctrl all tracks.</source>
        <translation>Spielt diese Spur ohne Automation, zum Vergleichen; mit Strg alle Spuren.</translation>
    </message>
    <message>
        <source>All rides</source>
        <translation>Alle</translation>
    </message>
    <message>
        <source>Lists every ride of the session.</source>
        <translation>Listet jede Automation der Sitzung.</translation>
    </message>
    <message>
        <source>Draft by audibility…</source>
        <translation>Entwurf nach Hörbarkeit…</translation>
    </message>
    <message>
        <source>bend: −1 fast first … +1 slow first</source>
        <translation>Biegung: −1 erst schnell … +1 erst langsam</translation>
    </message>
    <message>
        <source>Fade-out from %1</source>
        <translation>Fade-out ab %1</translation>
    </message>
    <message>
        <source>Lift the section or the marked stretch…</source>
        <translation>Abschnitt oder markierten Bereich anheben…</translation>
    </message>
    <message>
        <source>gain</source>
        <translation>Gain</translation>
    </message>
    <message>
        <source>length of the edges, s</source>
        <translation>Länge der Flanken, s</translation>
    </message>
    <message>
        <source>Lift by %1</source>
        <translation>Anheben um %1</translation>
    </message>
    <message>
        <source>Dips at the hits of another track…</source>
        <translation>Senken an den Schlägen einer anderen Spur…</translation>
    </message>
    <message>
        <source>Throw: raise only the marked words…</source>
        <translation>Wurf: nur die markierten Worte anheben…</translation>
    </message>
    <message>
        <source>gain of the words</source>
        <translation>Gain der Worte</translation>
    </message>
    <message>
        <source>length of the edges, ms</source>
        <translation>Länge der Flanken, ms</translation>
    </message>
    <message>
        <source>Fill to the end with the value at the playhead</source>
        <translation>Bis zum Ende mit dem Wert an der Abspielposition füllen</translation>
    </message>
    <message>
        <source>Fill to the loop&apos;s end with the value at the playhead</source>
        <translation>Bis zum Ende des Loops mit dem Wert an der Abspielposition füllen</translation>
    </message>
    <message>
        <source>No loop ends after the playhead. Set a loop first.</source>
        <translation>Kein Loop endet nach der Abspielposition. Setze zuerst einen Loop.</translation>
    </message>
    <message>
        <source>Trim by %1</source>
        <translation>Um %1 trimmen</translation>
    </message>
    <message>
        <source>Learn: the next fader controls this parameter</source>
        <translation>Lernen: Der nächste Fader steuert diesen Parameter</translation>
    </message>
    <message>
        <source>No MIDI device connected</source>
        <translation>Kein MIDI-Gerät angeschlossen</translation>
    </message>
    <message>
        <source>A group has only two parameters with rides: level and mute.</source>
        <translation>Eine Gruppe hat nur zwei automatisierbare Parameter: Pegel und Mute.</translation>
    </message>
    <message>
        <source>%1 · %2 · %3, %4 to %5 · bypassed</source>
        <translation>%1 · %2 · %3, %4 bis %5 · umgangen</translation>
    </message>
    <message>
        <source>%1 · %2 · %3, %4 to %5</source>
        <translation>%1 · %2 · %3, %4 bis %5</translation>
    </message>
    <message>
        <source>No rides yet.</source>
        <translation>Noch keine Automation.</translation>
    </message>
    <message>
        <source>A draft needs a track. Select one.</source>
        <translation>Ein Entwurf braucht eine Spur. Wähle eine aus.</translation>
    </message>
    <message>
        <source>Measuring the tracks first; then the draft appears.</source>
        <translation>Zuerst werden die Spuren gemessen; dann erscheint der Entwurf.</translation>
    </message>
    <message>
        <source>This track has no phrases for a ride.</source>
        <translation>Diese Spur hat keine Phrasen für eine Automation.</translation>
    </message>
    <message>
        <source>each phrase against the rest, dB (K-weighted)</source>
        <translation>jede Phrase gegen den Rest, dB (K-gewichtet)</translation>
    </message>
    <message>
        <source>audible share of its bands in each phrase, %</source>
        <translation>hörbarer Anteil der Bänder je Phrase, %</translation>
    </message>
    <message>
        <source>Ride draft by audibility</source>
        <translation>Entwurf nach Hörbarkeit</translation>
    </message>
    <message>
        <source>strength</source>
        <translation>Stärke</translation>
    </message>
    <message>
        <source>Light: half of the difference</source>
        <translation>Leicht: die Hälfte des Unterschieds</translation>
    </message>
    <message>
        <source>Even</source>
        <translation>Gleichmäßig</translation>
    </message>
    <message>
        <source>Tight: the whole difference, in short parts</source>
        <translation>Eng: der ganze Unterschied, in kurzen Teilen</translation>
    </message>
    <message>
        <source>By the figures below</source>
        <translation>Nach den Werten darunter</translation>
    </message>
    <message>
        <source>tolerance, ± dB</source>
        <translation>Toleranz, ± dB</translation>
    </message>
    <message>
        <source>raise by at most, dB</source>
        <translation>höchstens anheben um, dB</translation>
    </message>
    <message>
        <source>lower by at most, dB</source>
        <translation>höchstens absenken um, dB</translation>
    </message>
    <message>
        <source>silence: below the loudest phrase by, dB</source>
        <translation>Stille: unter der lautesten Phrase um, dB</translation>
    </message>
    <message>
        <source>ignore sounds (breaths) shorter than, s</source>
        <translation>Laute (Atmer) übergehen, kürzer als, s</translation>
    </message>
    <message>
        <source>split longer phrases into parts of, s</source>
        <translation>längere Phrasen teilen in, s</translation>
    </message>
    <message>
        <source>All rides on</source>
        <translation>Alle Automationen an</translation>
    </message>
    <message>
        <source>Rides of %1 on</source>
        <translation>Automation von %1 an</translation>
    </message>
    <message>
        <source>From %1</source>
        <translation>Aus %1</translation>
    </message>
    <message>
        <source>Select a track</source>
        <translation>Wähle eine Spur</translation>
    </message>
    <message>
        <source>Proposes a ride that keeps the track at one distance from the rest of the mix.</source>
        <translation>Schlägt eine Automation vor, die die Spur in gleichem Abstand zum Rest des Mixes hält.</translation>
    </message>
    <message>
        <source>Proposes a ride that raises the track where others cover it.</source>
        <translation>Schlägt eine Automation vor, die die Spur anhebt, wo andere sie verdecken.</translation>
    </message>
    <message>
        <source>Takes the value down over the marked stretch, or at the end of the song.</source>
        <translation>Senkt den Wert im markierten Bereich oder am Ende des Songs.</translation>
    </message>
    <message>
        <source>Raises a section as a whole. 0.5 to 1 dB is often enough for a chorus.</source>
        <translation>Hebt einen Abschnitt als Ganzes. Für einen Refrain genügen oft 0,5 bis 1 dB.</translation>
    </message>
    <message>
        <source>Lowers this track briefly at each hit of another one, such as the bass at the kick.</source>
        <translation>Senkt diese Spur kurz bei jedem Schlag einer anderen, etwa den Bass bei der Kick.</translation>
    </message>
    <message>
        <source>The value rises and falls with the beats.</source>
        <translation>Der Wert steigt und fällt mit den Schlägen.</translation>
    </message>
    <message>
        <source>Raises single words, such as the send to an echo at the end of a line.</source>
        <translation>Hebt einzelne Wörter, etwa den Send zu einem Echo am Ende einer Zeile.</translation>
    </message>
    <message>
        <source>Takes the points of the stretch along, to another time or another track.</source>
        <translation>Nimmt die Punkte des Bereichs mit, an eine andere Zeit oder in eine andere Spur.</translation>
    </message>
    <message>
        <source>Puts the copied points here, in place of the points that are there.</source>
        <translation>Setzt die kopierten Punkte hierher, anstelle der Punkte, die da sind.</translation>
    </message>
    <message>
        <source>Puts the copied points at the start of a section.</source>
        <translation>Setzt die kopierten Punkte an den Anfang eines Abschnitts.</translation>
    </message>
    <message>
        <source>Removes all later points. The value stays as it is at the playhead.</source>
        <translation>Entfernt alle späteren Punkte. Der Wert bleibt wie an der Abspielposition.</translation>
    </message>
    <message>
        <source>Removes the points up to the end of the loop. The value stays as it is at the playhead.</source>
        <translation>Entfernt die Punkte bis zum Ende des Loops. Der Wert bleibt wie an der Abspielposition.</translation>
    </message>
    <message>
        <source>Shows the whole range of the parameter, not only the part in use.</source>
        <translation>Zeigt den ganzen Bereich des Parameters, nicht nur den benutzten Teil.</translation>
    </message>
    <message>
        <source>Moves all points of the ride up or down by one figure.</source>
        <translation>Verschiebt alle Punkte der Automation um denselben Wert nach oben oder unten.</translation>
    </message>
    <message>
        <source>Time and value of the selected point, as figures.</source>
        <translation>Zeit und Wert des ausgewählten Punkts, als Zahlen.</translation>
    </message>
    <message>
        <source>Times and values, for a spreadsheet or another session.</source>
        <translation>Zeiten und Werte, für eine Tabellenkalkulation oder eine andere Sitzung.</translation>
    </message>
    <message>
        <source>Times and values from a file, in place of the ride that is shown.</source>
        <translation>Zeiten und Werte aus einer Datei, anstelle der gezeigten Automation.</translation>
    </message>
    <message>
        <source>A window that sends MIDI like a device with faders, to try touch and latch.</source>
        <translation>Ein Fenster, das MIDI sendet wie ein Gerät mit Fadern, um Touch und Latch auszuprobieren.</translation>
    </message>
    <message>
        <source>Move a fader of the device afterwards. It controls this parameter from then on.</source>
        <translation>Danach einen Fader des Geräts bewegen. Er steuert ab dann diesen Parameter.</translation>
    </message>
    <message>
        <source>The device whose faders move those of the tracks.</source>
        <translation>Das Gerät, dessen Fader die der Spuren bewegen.</translation>
    </message>
    <message>
        <source>How long a control in touch mode needs to return to its ride.</source>
        <translation>Wie lange ein Bedienelement im Touch-Modus braucht, um zu seiner Automation zurückzukehren.</translation>
    </message>
</context>
<context>
    <name>isotonus::RideView</name>
    <message>
        <source>%1 of the send to %2</source>
        <translation>%1 des Sends nach %2</translation>
    </message>
    <message>
        <source>%1 of %2: the ride is shown.</source>
        <translation>%1 von %2: Die Automation ist zu sehen.</translation>
    </message>
</context>
<context>
    <name>isotonus::RowHead</name>
    <message>
        <source>drums</source>
        <translation>Schlagzeug</translation>
    </message>
    <message>
        <source>percussion</source>
        <translation>Percussion</translation>
    </message>
    <message>
        <source>bass</source>
        <translation>Bass</translation>
    </message>
    <message>
        <source>guitars</source>
        <translation>Gitarren</translation>
    </message>
    <message>
        <source>strings</source>
        <translation>Streicher</translation>
    </message>
    <message>
        <source>voices</source>
        <translation>Stimmen</translation>
    </message>
    <message>
        <source>effects</source>
        <translation>Effekte</translation>
    </message>
    <message>
        <source>other</source>
        <translation>andere</translation>
    </message>
    <message>
        <source>Mute %1</source>
        <translation>%1 stumm</translation>
    </message>
    <message>
        <source>Unmute %1</source>
        <translation>Mute von %1 aus</translation>
    </message>
    <message>
        <source>Solo %1</source>
        <translation>Solo %1</translation>
    </message>
    <message>
        <source>Solo %1 off</source>
        <translation>Solo von %1 aus</translation>
    </message>
    <message>
        <source>Solo %1, which is solo safe</source>
        <translation>%1 solo, mit Solo-Safe</translation>
    </message>
    <message>
        <source>file missing</source>
        <translation>Datei fehlt</translation>
    </message>
    <message>
        <source>percussive</source>
        <translation>perkussiv</translation>
    </message>
    <message>
        <source>sustained</source>
        <translation>gehalten</translation>
    </message>
    <message>
        <source>reading…</source>
        <translation>wird gelesen…</translation>
    </message>
    <message>
        <source>Rename %1 to %2</source>
        <translation>%1 in %2 umbenennen</translation>
    </message>
    <message>
        <source>A newer file for %1</source>
        <translation>Eine neuere Datei für %1</translation>
    </message>
    <message>
        <source>Audio (*);;All files (*)</source>
        <translation>Audio (*);;Alle Dateien (*)</translation>
    </message>
    <message>
        <source>Replace the file of %1</source>
        <translation>Datei von %1 ersetzen</translation>
    </message>
    <message>
        <source>Note on %1</source>
        <translation>Notiz zu %1</translation>
    </message>
    <message>
        <source>Percussive</source>
        <translation>Perkussiv</translation>
    </message>
    <message>
        <source>Sustained</source>
        <translation>Gehalten</translation>
    </message>
    <message>
        <source>Kind as measured</source>
        <translation>Art wie gemessen</translation>
    </message>
    <message>
        <source>Kind: %1</source>
        <translation>Art: %1</translation>
    </message>
    <message>
        <source>Family</source>
        <translation>Familie</translation>
    </message>
    <message>
        <source>Family: %1</source>
        <translation>Familie: %1</translation>
    </message>
    <message>
        <source>Fold the family &apos;%1&apos;</source>
        <translation>Familie „%1“ falten</translation>
    </message>
    <message>
        <source>Anchor</source>
        <translation>Anker</translation>
    </message>
    <message>
        <source>Anchor off</source>
        <translation>Anker aus</translation>
    </message>
    <message>
        <source>Note…</source>
        <translation>Notiz…</translation>
    </message>
    <message>
        <source>Channels</source>
        <translation>Kanäle</translation>
    </message>
    <message>
        <source>Channels: %1</source>
        <translation>Kanäle: %1</translation>
    </message>
    <message>
        <source>as recorded</source>
        <translation>wie aufgenommen</translation>
    </message>
    <message>
        <source>Split %1</source>
        <translation>%1 teilen</translation>
    </message>
    <message>
        <source>Remove the DC offset</source>
        <translation>DC-Versatz entfernen</translation>
    </message>
    <message>
        <source>DC offset</source>
        <translation>DC-Versatz</translation>
    </message>
    <message>
        <source>below, Hz: 40 … 500</source>
        <translation>unter, Hz: 40 … 500</translation>
    </message>
    <message>
        <source>Solo safe</source>
        <translation>Solo-Safe</translation>
    </message>
    <message>
        <source>Solo safe off</source>
        <translation>Solo-fest aus</translation>
    </message>
    <message>
        <source>Invert polarity</source>
        <translation>Polarität invertieren</translation>
    </message>
    <message>
        <source>Count spikes</source>
        <translation>Ausreißer zählen</translation>
    </message>
    <message>
        <source>Leave out spikes</source>
        <translation>Ausreißer weglassen</translation>
    </message>
    <message>
        <source>May pass the ceiling</source>
        <translation>Darf die Grenze überschreiten</translation>
    </message>
    <message>
        <source>Replace the file…</source>
        <translation>Datei ersetzen…</translation>
    </message>
    <message>
        <source>Remove from the session</source>
        <translation>Aus der Sitzung entfernen</translation>
    </message>
    <message>
        <source>%1: %2</source>
        <translation>%1: %2</translation>
    </message>
    <message>
        <source>Mute: this track is neither heard nor exported. (M)</source>
        <translation>Mute: Diese Spur ist weder zu hören noch im Export. (M)</translation>
    </message>
    <message>
        <source>Solo: only soloed tracks are heard. Use it to find a fault, but balance with everything playing. (S; Ctrl and click: only this track)</source>
        <translation>Solo: Nur Solospuren sind zu hören. Zum Suchen eines Fehlers; die Balance machst du mit allem. (S; Strg und Klick: nur diese Spur)</translation>
    </message>
    <message>
        <source>rides of its mute</source>
        <translation>Mute automatisiert</translation>
    </message>
    <message>
        <source>mono</source>
        <translation>mono</translation>
    </message>
    <message>
        <source>stereo</source>
        <translation>stereo</translation>
    </message>
    <message>
        <source>Name of the track</source>
        <translation>Name der Spur</translation>
    </message>
    <message>
        <source>Note on this track</source>
        <translation>Notiz zu dieser Spur</translation>
    </message>
    <message>
        <source>Colour</source>
        <translation>Farbe</translation>
    </message>
    <message>
        <source>Colour %1</source>
        <translation>Farbe %1</translation>
    </message>
    <message>
        <source>Folded to stereo</source>
        <translation>Auf Stereo gefaltet</translation>
    </message>
    <message>
        <source>Left and right swapped</source>
        <translation>Links und rechts getauscht</translation>
    </message>
    <message>
        <source>Mono: both channels</source>
        <translation>Mono: beide Kanäle</translation>
    </message>
    <message>
        <source>Left channel only</source>
        <translation>Nur linker Kanal</translation>
    </message>
    <message>
        <source>Right channel only</source>
        <translation>Nur rechter Kanal</translation>
    </message>
    <message>
        <source>Channel %1 only</source>
        <translation>Nur Kanal %1</translation>
    </message>
    <message numerus="yes">
        <source>Split into %n mono track(s)</source>
        <translation>
            <numerusform>In %n Mono-Spur teilen</numerusform>
            <numerusform>In %n Mono-Spuren teilen</numerusform>
        </translation>
    </message>
    <message>
        <source>Mono bass</source>
        <translation>Tiefen mono</translation>
    </message>
    <message>
        <source>Below %1 Hz</source>
        <translation>Unter %1 Hz</translation>
    </message>
    <message>
        <source>Mono below %1 Hz</source>
        <translation>Mono unter %1 Hz</translation>
    </message>
    <message>
        <source>Mono bass off</source>
        <translation>Tiefen mono aus</translation>
    </message>
    <message>
        <source>Below another frequency…</source>
        <translation>Unter einer anderen Frequenz…</translation>
    </message>
    <message>
        <source>Hear only the mono bass</source>
        <translation>Nur die mono Tiefen hören</translation>
    </message>
    <message>
        <source>Dual pan</source>
        <translation>Getrenntes Panorama</translation>
    </message>
    <message>
        <source>Dual pan off</source>
        <translation>Getrenntes Panorama aus</translation>
    </message>
    <message>
        <source>Output</source>
        <translation>Ausgang</translation>
    </message>
    <message>
        <source>Main output</source>
        <translation>Summe</translation>
    </message>
    <message>
        <source>keys</source>
        <translation>Tasten</translation>
    </message>
    <message>
        <source>Off</source>
        <translation>Aus</translation>
    </message>
    <message>
        <source>Staged to the target of short hits, such as drums.</source>
        <translation>Eingepegelt auf das Ziel kurzer Schläge, wie bei Trommeln.</translation>
    </message>
    <message>
        <source>Staged to the target of held sounds, such as voices and pads.</source>
        <translation>Eingepegelt auf das Ziel gehaltener Klänge, wie bei Stimmen und Flächen.</translation>
    </message>
    <message>
        <source>Found from the track&apos;s name and sound.</source>
        <translation>Aus Name und Klang der Spur bestimmt.</translation>
    </message>
    <message>
        <source>What the track plays. Colour, folding and suggested levels follow it.</source>
        <translation>Was die Spur spielt. Farbe, Einklappen und vorgeschlagene Pegel richten sich danach.</translation>
    </message>
    <message>
        <source>Shows the family as one line. A click on it unfolds it.</source>
        <translation>Zeigt die Familie als eine Zeile. Ein Klick darauf klappt sie auf.</translation>
    </message>
    <message>
        <source>A track that the mix is built on: kick, bass, snare, lead. Suggestions spare it.</source>
        <translation>Eine Spur, auf der der Mix aufbaut: Kick, Bass, Snare, Lead. Vorschläge verschonen sie.</translation>
    </message>
    <message>
        <source>A remark that stays with the track.</source>
        <translation>Eine Bemerkung, die bei der Spur bleibt.</translation>
    </message>
    <message>
        <source>Which channels of the file are used. Choose one of them if the other is silent or damaged.</source>
        <translation>Welche Kanäle der Datei benutzt werden. Einen davon wählen, wenn der andere still oder beschädigt ist.</translation>
    </message>
    <message>
        <source>Puts the waveform back on its zero line. An offset uses headroom.</source>
        <translation>Rückt die Wellenform auf ihre Nulllinie. Ein Versatz kostet Headroom.</translation>
    </message>
    <message>
        <source>Makes the low end of a stereo track mono. 100 to 150 Hz keeps it firm.</source>
        <translation>Macht die Tiefen einer Stereospur mono. 100 bis 150 Hz halten sie fest.</translation>
    </message>
    <message>
        <source>A pan for each channel, instead of pan and width. Use it to put a wide sound to one side.</source>
        <translation>Ein Panorama für jeden Kanal, statt Panorama und Breite. So kommt ein breiter Klang auf eine Seite.</translation>
    </message>
    <message>
        <source>Where the track plays: straight to the main output, or through a bus.</source>
        <translation>Wohin die Spur spielt: direkt zur Summe oder durch einen Bus.</translation>
    </message>
    <message>
        <source>Stays on while other tracks are soloed.</source>
        <translation>Bleibt zu hören, während andere Spuren solo sind.</translation>
    </message>
    <message>
        <source>Staging may raise its peak above the ceiling of the target sheet.</source>
        <translation>Das Einpegeln darf die Spitze über die Obergrenze des Zielblatts heben.</translation>
    </message>
    <message>
        <source>Another file, such as a new take, with the settings of this one.</source>
        <translation>Eine andere Datei, etwa ein neuer Take, mit den Einstellungen dieser.</translation>
    </message>
    <message>
        <source>The audio file stays on the disk.</source>
        <translation>Die Audiodatei bleibt auf der Festplatte.</translation>
    </message>
    <message>
        <source>Turns the waveform upside down. Try it if two microphones lose low end together.</source>
        <translation>Dreht die Wellenform um. Ausprobieren, wenn zwei Mikrofone zusammen Tiefen verlieren.</translation>
    </message>
    <message>
        <source>Single short peaks count for the level. Otherwise staging ignores them.</source>
        <translation>Einzelne kurze Spitzen zählen für den Pegel. Sonst lässt das Einpegeln sie weg.</translation>
    </message>
</context>
<context>
    <name>isotonus::SendForm</name>
    <message>
        <source>level</source>
        <translation>Pegel</translation>
    </message>
    <message>
        <source>off</source>
        <translation>aus</translation>
    </message>
    <message>
        <source>pan</source>
        <translation>Panorama</translation>
    </message>
    <message>
        <source>Throw in the loop</source>
        <translation>Wurf im Loop</translation>
    </message>
    <message>
        <source>Ride</source>
        <translation>Fahren</translation>
    </message>
    <message>
        <source>Throw to %1 at %2</source>
        <translation>Wurf nach %1 bei %2</translation>
    </message>
    <message>
        <source>How much of this track is sent there. Raise it for more of the effect.</source>
        <translation>Wie viel von dieser Spur dorthin geht. Mehr davon ergibt mehr Effekt.</translation>
    </message>
    <message>
        <source>After the fader, the return follows the level of the track. Before the fader, the return stays when the track is pulled down.</source>
        <translation>Nach dem Fader folgt der Return dem Pegel der Spur. Vor dem Fader bleibt er, wenn du die Spur herunterziehst.</translation>
    </message>
    <message>
        <source>Like the track</source>
        <translation>Wie die Spur</translation>
    </message>
    <message>
        <source>Own pan</source>
        <translation>Eigenes Panorama</translation>
    </message>
    <message>
        <source>L 100 is left, C the centre, R 100 right.</source>
        <translation>L 100 ist links, C die Mitte, R 100 rechts.</translation>
    </message>
    <message>
        <source>Writes a ride that opens this send only inside the loop, for a single word or hit. Set the loop first.</source>
        <translation>Schreibt eine Automation, die diesen Send nur im Loop öffnet, für ein Wort oder einen Schlag. Setze zuerst den Loop.</translation>
    </message>
    <message>
        <source>Opens the level of this send in Ride.</source>
        <translation>Öffnet den Pegel dieses Sends unter Fahren.</translation>
    </message>
    <message>
        <source>Set a loop around the word first: Shift and drag on the song map.</source>
        <translation>Setze zuerst einen Loop um das Wort: Umschalt und Ziehen in der Songkarte.</translation>
    </message>
    <message>
        <source>The lane of this send is open in Ride (Alt+5).</source>
        <translation>Die Bahn dieses Sends ist unter Fahren (Alt+5) offen.</translation>
    </message>
    <message>
        <source>tap</source>
        <translation>Abgriff</translation>
    </message>
    <message>
        <source>After the fader</source>
        <translation>Nach dem Fader</translation>
    </message>
    <message>
        <source>Before the fader</source>
        <translation>Vor dem Fader</translation>
    </message>
    <message>
        <source>own pan</source>
        <translation>eigenes Panorama</translation>
    </message>
    <message>
        <source>Whether the send has the pan of the track or a pan of its own. Its own widens an echo.</source>
        <translation>Ob der Send das Panorama der Spur hat oder ein eigenes. Ein eigenes macht ein Echo breiter.</translation>
    </message>
</context>
<context>
    <name>isotonus::SettingsDialog</name>
    <message>
        <source>Settings</source>
        <translation>Einstellungen</translation>
    </message>
    <message>
        <source>Sound device</source>
        <translation>Tongerät</translation>
    </message>
    <message>
        <source>%1 frames</source>
        <translation>%1 Frames</translation>
    </message>
    <message>
        <source>Block</source>
        <translation>Block</translation>
    </message>
    <message>
        <source>AES17: a full-scale sine reads 0 dBFS</source>
        <translation>AES17: ein Sinus mit Vollaussteuerung liest 0 dBFS</translation>
    </message>
    <message>
        <source>Averages</source>
        <translation>Mittelwerte</translation>
    </message>
    <message>
        <source>%1 pixels</source>
        <translation>%1 Pixel</translation>
    </message>
    <message>
        <source>Dim</source>
        <translation>Dim</translation>
    </message>
    <message>
        <source>Quiet check</source>
        <translation>Leiseprobe</translation>
    </message>
    <message>
        <source>Pan law of the session</source>
        <translation>Pan-Gesetz der Sitzung</translation>
    </message>
    <message>
        <source>Empty it now</source>
        <translation>Jetzt leeren</translation>
    </message>
    <message>
        <source>%1 are left</source>
        <translation>%1 sind übrig</translation>
    </message>
    <message>
        <source>Language</source>
        <translation>Sprache</translation>
    </message>
    <message>
        <source>Pan law: %1</source>
        <translation>Pan-Gesetz: %1</translation>
    </message>
    <message>
        <source>Number of frames per block. Short blocks react faster; long blocks are safer on a busy machine.</source>
        <translation>Zahl der Frames je Block. Kurze Blöcke reagieren schneller; lange sind auf einem ausgelasteten Rechner sicherer.</translation>
    </message>
    <message>
        <source>Plain RMS: a full-scale sine reads −3.0 dBFS</source>
        <translation>Einfacher RMS: Ein Sinus mit Vollaussteuerung liest −3,0 dBFS</translation>
    </message>
    <message>
        <source>Height of a track. Low tracks show more of a large session.</source>
        <translation>Höhe einer Spur. Niedrige Spuren zeigen mehr von einer großen Sitzung.</translation>
    </message>
    <message>
        <source>Track height</source>
        <translation>Spurhöhe</translation>
    </message>
    <message>
        <source>How far the dim switch lowers the monitoring. 20 dB lets you talk over the music.</source>
        <translation>Wie weit Dim das Abhören senkt. Bei 20 dB kann man darüber reden.</translation>
    </message>
    <message>
        <source>How far the quiet check lowers the monitoring: the weakest parts should vanish.</source>
        <translation>Wie weit die Leiseprobe das Abhören senkt: Das Schwächste soll verschwinden.</translation>
    </message>
    <message>
        <source>Rest of the mix while tracks are heard alone</source>
        <translation>Rest des Mixes, während Spuren allein zu hören sind</translation>
    </message>
    <message>
        <source>How far the rest of the mix is lowered while you hear selected tracks.</source>
        <translation>Wie weit der Rest des Mixes abgesenkt wird, während du ausgewählte Spuren hörst.</translation>
    </message>
    <message>
        <source>Silent</source>
        <translation>Still</translation>
    </message>
    <message>
        <source>Dimmed by the same</source>
        <translation>Ebenso gedämpft</translation>
    </message>
    <message>
        <source>Whether the rest is silent or dimmed while a bus or return is heard. A return is often judged better over a quiet mix than alone.</source>
        <translation>Ob der Rest still oder gedämpft ist, während ein Bus oder Return zu hören ist. Ein Return lässt sich über einem leisen Mix oft besser beurteilen.</translation>
    </message>
    <message>
        <source>Rest while a bus or return is heard</source>
        <translation>Rest, während ein Bus oder Return zu hören ist</translation>
    </message>
    <message>
        <source>A mix of −18 dBFS plays at</source>
        <translation>Ein Mix von −18 dBFS spielt mit</translation>
    </message>
    <message>
        <source>Equal power: −3.0 dB in the centre</source>
        <translation>Gleiche Leistung: −3,0 dB in der Mitte</translation>
    </message>
    <message>
        <source>Compromise: −4.5 dB in the centre</source>
        <translation>Kompromiss: −4,5 dB in der Mitte</translation>
    </message>
    <message>
        <source>Linear: −6.0 dB in the centre</source>
        <translation>Linear: −6,0 dB in der Mitte</translation>
    </message>
    <message>
        <source>Balance: 0.0 dB in the centre</source>
        <translation>Balance: 0,0 dB in der Mitte</translation>
    </message>
    <message>
        <source>How loud a sound is in the centre against the edges. The law belongs to this session and its exports; choose it before you balance.</source>
        <translation>Wie laut ein Klang in der Mitte gegen die Ränder ist. Das Gesetz gehört zu dieser Sitzung und ihren Exporten; wähle es vor der Balance.</translation>
    </message>
    <message>
        <source>The limit for kept measurements and converted files. The oldest are deleted first.</source>
        <translation>Die Grenze für behaltene Messungen und umgewandelte Dateien. Die ältesten werden zuerst gelöscht.</translation>
    </message>
    <message>
        <source>Deletes all except files of the last hour. Deleted files are made again when needed.</source>
        <translation>Löscht alles außer Dateien der letzten Stunde. Gelöschtes entsteht bei Bedarf neu.</translation>
    </message>
    <message>
        <source>Limit of the cache</source>
        <translation>Grenze des Zwischenspeichers</translation>
    </message>
    <message>
        <source>As the system</source>
        <translation>Wie das System</translation>
    </message>
    <message>
        <source>Takes effect at the next start.</source>
        <translation>Gilt ab dem nächsten Start.</translation>
    </message>
    <message>
        <source>Night theme</source>
        <translation>Nachtfarben</translation>
    </message>
    <message>
        <source>%1 %</source>
        <translation>%1 %</translation>
    </message>
    <message>
        <source>The size of everything in the window, beside what the desktop asks for. Takes effect at the next start.</source>
        <translation>Die Größe von allem im Fenster, zusätzlich zu der des Desktops. Gilt ab dem nächsten Start.</translation>
    </message>
    <message>
        <source>Size of the interface</source>
        <translation>Größe der Oberfläche</translation>
    </message>
    <message>
        <source>Where the mix is played. A device that is lost is used again as soon as it is back.</source>
        <translation>Wo der Mix gespielt wird. Ein Gerät, das verloren ging, wird wieder benutzt, sobald es zurück ist.</translation>
    </message>
    <message>
        <source>The sound level at your listening position. Audibility is computed for it.</source>
        <translation>Der Schallpegel an deinem Hörplatz. Die Hörbarkeit wird dafür berechnet.</translation>
    </message>
    <message>
        <source>How averages are shown everywhere. Choose plain RMS if you compare with meters that read that way.</source>
        <translation>Wie Mittelwerte überall gezeigt werden. Wähle einfaches RMS, wenn du mit Anzeigen vergleichst, die so messen.</translation>
    </message>
    <message>
        <source>Light text on a dark ground, for a dark room.</source>
        <translation>Heller Text auf dunklem Grund, für einen dunklen Raum.</translation>
    </message>
</context>
<context>
    <name>isotonus::ShapeLane</name>
    <message>
        <source>off</source>
        <translation>aus</translation>
    </message>
    <message>
        <source>%1: %2</source>
        <translation>%1: %2</translation>
    </message>
    <message>
        <source>Low cut of %1</source>
        <translation>Low Cut von %1</translation>
    </message>
    <message>
        <source>Low cut of %1 %2</source>
        <translation>Low Cut von %1 %2</translation>
    </message>
    <message>
        <source>low cut</source>
        <translation>Low Cut</translation>
    </message>
    <message>
        <source>send to %1</source>
        <translation>Send an %1</translation>
    </message>
    <message>
        <source>before the fader</source>
        <translation>vor dem Fader</translation>
    </message>
    <message>
        <source>bypassed</source>
        <translation>umgangen</translation>
    </message>
    <message>
        <source>%1 has no processors. Type a frequency for a low cut, or add a processor below.</source>
        <translation>%1 hat keine Prozessoren. Gib eine Frequenz für einen Low Cut ein oder füge unten einen hinzu.</translation>
    </message>
    <message>
        <source>%1 (from a newer version, has no effect)</source>
        <translation>%1 (aus einer neueren Version, ohne Wirkung)</translation>
    </message>
    <message>
        <source>%1 (bypassed)</source>
        <translation>%1 (umgangen)</translation>
    </message>
    <message>
        <source>%1; %2 reduces by at most %3 dB at %4, %5 dB while it works</source>
        <translation>%1; %2 reduziert höchstens um %3 dB bei %4, %5 dB während er arbeitet</translation>
    </message>
    <message>
        <source>A low cut is from 20 Hz to 20 kHz; &apos;off&apos; removes it.</source>
        <translation>Ein Low Cut liegt zwischen 20 Hz und 20 kHz; „off“ entfernt ihn.</translation>
    </message>
    <message numerus="yes">
        <source>%n processor(s), %1 bypassed</source>
        <translation>
            <numerusform>%n Prozessor, %1 umgangen</numerusform>
            <numerusform>%n Prozessoren, %1 umgangen</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <source>%n processor(s)</source>
        <translation>
            <numerusform>%n Prozessor</numerusform>
            <numerusform>%n Prozessoren</numerusform>
        </translation>
    </message>
</context>
<context>
    <name>isotonus::ShapePanel</name>
    <message>
        <source>Add</source>
        <translation>Hinzufügen</translation>
    </message>
    <message>
        <source>Remove</source>
        <translation>Entfernen</translation>
    </message>
    <message>
        <source>Earlier</source>
        <translation>Früher</translation>
    </message>
    <message>
        <source>Later</source>
        <translation>Später</translation>
    </message>
    <message>
        <source>Presets</source>
        <translation>Vorlagen</translation>
    </message>
    <message>
        <source>Remove the send to %1</source>
        <translation>Send an %1 entfernen</translation>
    </message>
    <message>
        <source>Remove a processor</source>
        <translation>Prozessor entfernen</translation>
    </message>
    <message>
        <source>Add %1</source>
        <translation>%1 hinzufügen</translation>
    </message>
    <message>
        <source>Plug-in…</source>
        <translation>Plug-in…</translation>
    </message>
    <message>
        <source>Send to %1</source>
        <translation>Nach %1 senden</translation>
    </message>
    <message>
        <source>Send to a new return</source>
        <translation>An einen neuen Return senden</translation>
    </message>
    <message>
        <source>Copy this chain</source>
        <translation>Diese Kette kopieren</translation>
    </message>
    <message>
        <source>Paste a chain</source>
        <translation>Kette einfügen</translation>
    </message>
    <message>
        <source>my chain</source>
        <translation>meine Kette</translation>
    </message>
    <message>
        <source>Reduction over the whole song</source>
        <translation>Reduktion über den ganzen Song</translation>
    </message>
    <message>
        <source>while it works, dB</source>
        <translation>während er arbeitet, dB</translation>
    </message>
    <message>
        <source>Try again</source>
        <translation>Noch einmal versuchen</translation>
    </message>
    <message>
        <source>Room from %1</source>
        <translation>Raum aus %1</translation>
    </message>
    <message>
        <source>Impulse response</source>
        <translation>Impulsantwort</translation>
    </message>
    <message>
        <source>Audio (*.wav *.flac *.aiff)</source>
        <translation>Audio (*.wav *.flac *.aiff)</translation>
    </message>
    <message>
        <source>Computed</source>
        <translation>Berechnet</translation>
    </message>
    <message>
        <source>room</source>
        <translation>Raum</translation>
    </message>
    <message>
        <source>%1, %2 at %3</source>
        <translation>%1, %2 bei %3</translation>
    </message>
    <message>
        <source>band</source>
        <translation>Band</translation>
    </message>
    <message>
        <source>Append</source>
        <translation>Anhängen</translation>
    </message>
    <message>
        <source>Replace</source>
        <translation>Ersetzen</translation>
    </message>
    <message>
        <source>No processor is selected. Add one, or double click the picture for a band of the equaliser.</source>
        <translation>Kein Prozessor ist ausgewählt. Füge einen hinzu oder doppelklicke das Bild für ein Band des Equalizers.</translation>
    </message>
    <message>
        <source>This plug-in is not installed. It stays in the chain and passes its input through.</source>
        <translation>Dieses Plug-in ist nicht installiert. Es bleibt in der Kette und lässt sein Eingangssignal durch.</translation>
    </message>
    <message>
        <source>A newer version of Isotonus added this processor. It stays in the chain without effect.</source>
        <translation>Eine neuere Version von Isotonus hat diesen Prozessor hinzugefügt. Er bleibt ohne Wirkung in der Kette.</translation>
    </message>
    <message>
        <source>Cannot run: %1. Try again, or remove the processor.</source>
        <translation>Kann nicht laufen: %1. Versuche es noch einmal oder entferne den Prozessor.</translation>
    </message>
    <message>
        <source>Computed room</source>
        <translation>Berechneter Raum</translation>
    </message>
    <message>
        <source>Loads an impulse response from a file (WAV, FLAC) instead of the computed room.</source>
        <translation>Lädt eine Impulsantwort aus einer Datei (WAV, FLAC) statt des berechneten Raums.</translation>
    </message>
    <message>
        <source>%1, bypassed</source>
        <translation>%1, umgangen</translation>
    </message>
    <message>
        <source>This track</source>
        <translation>Diese Spur</translation>
    </message>
    <message>
        <source>None</source>
        <translation>Keine</translation>
    </message>
    <message>
        <source>The channel whose level controls this processor, before its fader. Choose the kick to duck a bass.</source>
        <translation>Der Kanal, dessen Pegel diesen Prozessor steuert, vor dem Fader. Nimm die Kick, um einen Bass zu ducken.</translation>
    </message>
    <message>
        <source>Sidechain source %1</source>
        <translation>Sidechain-Quelle %1</translation>
    </message>
    <message>
        <source>Type a number, or a note value at the tempo of the playhead: 1/8, 1/8. or 1/8t.</source>
        <translation>Gib eine Zahl oder einen Notenwert beim Tempo an der Abspielposition ein: 1/8, 1/8. oder 1/8t.</translation>
    </message>
    <message>
        <source>Processors of the selected channel, in order</source>
        <translation>Prozessoren des ausgewählten Kanals, der Reihe nach</translation>
    </message>
    <message>
        <source>Adds a processor at the end of the chain, or a send to a bus.</source>
        <translation>Fügt einen Prozessor am Ende der Kette oder einen Send an einen Bus hinzu.</translation>
    </message>
    <message>
        <source>Bypass</source>
        <translation>Bypass</translation>
    </message>
    <message>
        <source>Bypasses the selected processor, at one loudness. Use it to hear whether the processor helps. (F7)</source>
        <translation>Umgeht den ausgewählten Prozessor, bei gleicher Lautheit. So hörst du, ob er hilft. (F7)</translation>
    </message>
    <message>
        <source>Removes the selected processor and its rides.</source>
        <translation>Entfernt den ausgewählten Prozessor und seine Automation.</translation>
    </message>
    <message>
        <source>Moves the processor earlier in the chain.</source>
        <translation>Schiebt den Prozessor in der Kette nach vorn.</translation>
    </message>
    <message>
        <source>Moves the processor later in the chain.</source>
        <translation>Schiebt den Prozessor in der Kette nach hinten.</translation>
    </message>
    <message>
        <source>Chains stored under a name, and copies of this chain to other tracks.</source>
        <translation>Ketten unter einem Namen und Kopien dieser Kette für andere Spuren.</translation>
    </message>
    <message>
        <source>Suggestions</source>
        <translation>Vorschläge</translation>
    </message>
    <message>
        <source>Suggestions from the whole song for this track. Each one waits for Apply. (F4)</source>
        <translation>Vorschläge aus dem ganzen Song für diese Spur. Jeder wartet auf Übernehmen. (F4)</translation>
    </message>
    <message>
        <source>Apply</source>
        <translation>Übernehmen</translation>
    </message>
    <message>
        <source>Applies the suggestion as ordinary settings, in one undo step.</source>
        <translation>Übernimmt den Vorschlag als gewöhnliche Einstellungen, in einem Schritt zum Rückgängigmachen.</translation>
    </message>
    <message>
        <source>In parallel</source>
        <translation>Parallel</translation>
    </message>
    <message>
        <source>%1 already has a chain. Put &apos;%2&apos; behind it, or replace it?</source>
        <translation>%1 hat schon eine Kette. „%2“ dahinter setzen oder sie ersetzen?</translation>
    </message>
    <message>
        <source>The track has a chain</source>
        <translation>Die Spur hat eine Kette</translation>
    </message>
    <message>
        <source>Paste to the selected tracks</source>
        <translation>In die ausgewählten Spuren einfügen</translation>
    </message>
    <message>
        <source>Save this chain as a preset…</source>
        <translation>Diese Kette als Vorlage speichern…</translation>
    </message>
    <message>
        <source>Save a preset</source>
        <translation>Vorlage speichern</translation>
    </message>
    <message>
        <source>any track</source>
        <translation>jede Spur</translation>
    </message>
    <message>
        <source>your own</source>
        <translation>eigene</translation>
    </message>
    <message>
        <source>Delete a preset…</source>
        <translation>Vorlage löschen…</translation>
    </message>
    <message>
        <source>Delete a preset</source>
        <translation>Vorlage löschen</translation>
    </message>
    <message>
        <source>Preset</source>
        <translation>Vorlage</translation>
    </message>
    <message>
        <source>Low cut for the selected tracks</source>
        <translation>Low Cut für die ausgewählten Spuren</translation>
    </message>
    <message>
        <source>Low cut down by 12 %</source>
        <translation>Low Cut um 12 % zurück</translation>
    </message>
    <message>
        <source>Hear only the part that the processor removes</source>
        <translation>Nur den Teil hören, den der Prozessor entfernt</translation>
    </message>
    <message>
        <source>Resonance finder</source>
        <translation>Resonanzen</translation>
    </message>
    <message>
        <source>Target reduction…</source>
        <translation>Gewünschte Reduktion…</translation>
    </message>
    <message>
        <source>or at most, dB (0: no limit)</source>
        <translation>oder höchstens, dB (0: keine Grenze)</translation>
    </message>
    <message>
        <source>Makeup: the %1 dB that it reduces while it works</source>
        <translation>Makeup: die %1 dB, um die er reduziert, während er arbeitet</translation>
    </message>
    <message>
        <source>Makeup: as much as it reduces while it works</source>
        <translation>Makeup: so viel, wie er reduziert, während er arbeitet</translation>
    </message>
    <message>
        <source>Make room for it in the other tracks</source>
        <translation>In den anderen Spuren Platz schaffen</translation>
    </message>
    <message>
        <source>Masking: which tracks cover it, and where</source>
        <translation>Verdeckung: welche Spuren sie verdecken, und wo</translation>
    </message>
    <message>
        <source>Duck under another track…</source>
        <translation>Unter einer anderen Spur ducken…</translation>
    </message>
    <message>
        <source>Suggested duck under</source>
        <translation>Vorgeschlagenes Ducken unter</translation>
    </message>
    <message>
        <source>%1 %2</source>
        <translation>%1 %2</translation>
    </message>
    <message>
        <source>%1 %2 (bypassed)</source>
        <translation>%1 %2 (umgangen)</translation>
    </message>
    <message>
        <source>%1 %2 (cannot run)</source>
        <translation>%1 %2 (kann nicht laufen)</translation>
    </message>
    <message>
        <source>to %1  %2</source>
        <translation>an %1  %2</translation>
    </message>
    <message>
        <source>to %1  %2 (bypassed)</source>
        <translation>an %1  %2 (umgangen)</translation>
    </message>
    <message>
        <source>the plug-in is not installed</source>
        <translation>das Plug-in ist nicht installiert</translation>
    </message>
    <message>
        <source>sidechain source</source>
        <translation>Sidechain-Quelle</translation>
    </message>
    <message>
        <source>Name</source>
        <translation>Name</translation>
    </message>
    <message>
        <source>Cut its strongest note in the others</source>
        <translation>Ihren stärksten Ton in den anderen absenken</translation>
    </message>
    <message>
        <source>The band whose settings are below. A click on a band in the picture selects it too.</source>
        <translation>Das Band, dessen Einstellungen unten stehen. Ein Klick auf ein Band im Bild wählt es auch.</translation>
    </message>
    <message>
        <source>Dismiss</source>
        <translation>Verwerfen</translation>
    </message>
    <message>
        <source>Closes the suggestion. The chain stays as it is.</source>
        <translation>Schließt den Vorschlag. Die Kette bleibt, wie sie ist.</translation>
    </message>
    <message>
        <source>An LV2 plug-in of this machine. It runs in a process of its own.</source>
        <translation>Ein LV2-Plug-in dieses Rechners. Es läuft in einem eigenen Prozess.</translation>
    </message>
    <message>
        <source>A copy of the track goes to the bus, at a level of its own.</source>
        <translation>Eine Kopie der Spur geht an den Bus, mit eigenem Pegel.</translation>
    </message>
    <message>
        <source>Makes a bus with an effect, and a send to it. Several tracks can share it.</source>
        <translation>Legt einen Bus mit einem Effekt und einen Send dorthin an. Mehrere Spuren können ihn teilen.</translation>
    </message>
    <message>
        <source>Adds a strongly compressed copy below the track.</source>
        <translation>Mischt eine stark komprimierte Kopie unter die Spur.</translation>
    </message>
    <message>
        <source>To paste it to other tracks afterwards.</source>
        <translation>Um sie danach in andere Spuren einzufügen.</translation>
    </message>
    <message>
        <source>Gives them the copied chain. You are asked before a chain is replaced.</source>
        <translation>Gibt ihnen die kopierte Kette. Bevor eine Kette ersetzt wird, wirst du gefragt.</translation>
    </message>
    <message>
        <source>Kept for all sessions, among your own presets.</source>
        <translation>Für alle Sitzungen, unter deinen eigenen Vorlagen.</translation>
    </message>
    <message>
        <source>Presets of chains for such a track.</source>
        <translation>Vorlagen von Ketten für eine solche Spur.</translation>
    </message>
    <message>
        <source>Finds frequencies that ring whatever is played, and proposes narrow cuts.</source>
        <translation>Findet Frequenzen, die klingen, gleich was gespielt wird, und schlägt schmale Absenkungen vor.</translation>
    </message>
    <message>
        <source>Finds the threshold for a reduction. 3 dB is moderate.</source>
        <translation>Findet den Threshold für eine Reduktion. 3 dB sind mäßig.</translation>
    </message>
    <message>
        <source>Gives back the level that the compressor takes.</source>
        <translation>Gibt den Pegel zurück, den der Kompressor nimmt.</translation>
    </message>
    <message>
        <source>Proposes a narrow cut at its strongest note, in the tracks that cover it there.</source>
        <translation>Schlägt eine schmale Absenkung bei der stärksten Note vor, in den Spuren, die sie dort verdecken.</translation>
    </message>
    <message>
        <source>Proposes small cuts in the tracks that cover it most.</source>
        <translation>Schlägt kleine Absenkungen in den Spuren vor, die sie am meisten verdecken.</translation>
    </message>
    <message>
        <source>Lowers this track while another one sounds, such as the bass under the kick.</source>
        <translation>Senkt diese Spur, während eine andere klingt, etwa den Bass unter der Kick.</translation>
    </message>
    <message>
        <source>Proposes depth and times of a duck for the two tracks.</source>
        <translation>Schlägt Tiefe und Zeiten eines Ducks für die beiden Spuren vor.</translation>
    </message>
    <message>
        <source>Only noise and rumble should be left, nothing of the sound itself.</source>
        <translation>Nur Rauschen und Rumpeln sollten übrig sein, nichts vom Klang selbst.</translation>
    </message>
    <message>
        <source>Marks in the spectrum where other tracks cover this one.</source>
        <translation>Zeigt im Spektrum, wo andere Spuren diese verdecken.</translation>
    </message>
    <message>
        <source>Proposes where the track needs no more lows. A low cut there makes room for kick and bass.</source>
        <translation>Schlägt vor, ab wo die Spur keine Tiefen mehr braucht. Das lässt Platz für Kick und Bass.</translation>
    </message>
    <message>
        <source>Do this if the low cut removed too much of the sound.</source>
        <translation>Für den Fall, dass der Low Cut zu viel vom Klang entfernt hat.</translation>
    </message>
</context>
<context>
    <name>isotonus::ShapePicture</name>
    <message>
        <source>%1 at %2 Hz</source>
        <translation>%1 bei %2 Hz</translation>
    </message>
    <message>
        <source>band %1: %2 at %3 Hz</source>
        <translation>Band %1: %2 bei %3 Hz</translation>
    </message>
    <message>
        <source>gain, dB</source>
        <translation>Gain, dB</translation>
    </message>
    <message>
        <source>%1 s</source>
        <translation>%1 s</translation>
    </message>
    <message>
        <source>Band %1 to %2, %3</source>
        <translation>Band %1 nach %2, %3</translation>
    </message>
    <message>
        <source>Sweep at %1</source>
        <translation>Schwenk bei %1</translation>
    </message>
    <message>
        <source>New band at %1</source>
        <translation>Neues Band bei %1</translation>
    </message>
    <message>
        <source>Remove band %1</source>
        <translation>Band %1 entfernen</translation>
    </message>
    <message>
        <source>Frequencies of the selected track</source>
        <translation>Frequenzen der ausgewählten Spur</translation>
    </message>
    <message>
        <source>no filter</source>
        <translation>kein Filter</translation>
    </message>
    <message>
        <source>bars: decay time (RT60) of each octave</source>
        <translation>Balken: Nachhallzeit (RT60) je Oktave</translation>
    </message>
    <message>
        <source>%1, %2 % of it %3&apos;s</source>
        <translation>%1, %2 % davon %3</translation>
    </message>
    <message>
        <source>%1 % of the sound is its own</source>
        <translation>%1 % des Klangs gehören ihr</translation>
    </message>
    <message>
        <source>covered %1 % of the time, mostly by %2</source>
        <translation>zu %1 % der Zeit verdeckt, vor allem von %2</translation>
    </message>
</context>
<context>
    <name>isotonus::SheetDialog</name>
    <message>
        <source>sample peak</source>
        <translation>Spitzenpegel</translation>
    </message>
    <message>
        <source>true peak</source>
        <translation>True Peak</translation>
    </message>
    <message>
        <source>loudest 3 s</source>
        <translation>lauteste 3 s</translation>
    </message>
    <message>
        <source>VU maximum</source>
        <translation>VU-Maximum</translation>
    </message>
    <message>
        <source>Target sheet</source>
        <translation>Zielblatt</translation>
    </message>
    <message>
        <source>Sheet</source>
        <translation>Blatt</translation>
    </message>
    <message>
        <source>Import…</source>
        <translation>Importieren…</translation>
    </message>
    <message>
        <source>Export…</source>
        <translation>Exportieren…</translation>
    </message>
    <message>
        <source>word in the name</source>
        <translation>Wort im Namen</translation>
    </message>
    <message>
        <source>to</source>
        <translation>bis</translation>
    </message>
    <message>
        <source>Add a line</source>
        <translation>Zeile hinzufügen</translation>
    </message>
    <message>
        <source>Remove the line</source>
        <translation>Zeile entfernen</translation>
    </message>
    <message>
        <source>Peak ceiling, dBFS</source>
        <translation>Grenze für Spitzen, dBFS</translation>
    </message>
    <message>
        <source>Use</source>
        <translation>Verwenden</translation>
    </message>
    <message>
        <source>Export the sheet</source>
        <translation>Blatt exportieren</translation>
    </message>
    <message>
        <source>Target sheet (*.json)</source>
        <translation>Zielblatt (*.json)</translation>
    </message>
    <message>
        <source>Import a sheet</source>
        <translation>Blatt importieren</translation>
    </message>
    <message>
        <source>Target sheet &apos;%1&apos;</source>
        <translation>Zielblatt „%1“</translation>
    </message>
    <message>
        <source>Save as my sheet…</source>
        <translation>Als eigenes Blatt speichern…</translation>
    </message>
    <message>
        <source>Saves these windows under a name, for other sessions too.</source>
        <translation>Speichert diese Fenster unter einem Namen, auch für andere Sitzungen.</translation>
    </message>
    <message>
        <source>Loads a sheet from a JSON file.</source>
        <translation>Lädt ein Blatt aus einer JSON-Datei.</translation>
    </message>
    <message>
        <source>Saves these windows as a JSON file.</source>
        <translation>Speichert diese Fenster als JSON-Datei.</translation>
    </message>
    <message>
        <source>The first line that matches a track sets its window; empty fields match all. The last two lines are for tracks that match no other line.</source>
        <translation>Die erste Zeile, die auf eine Spur passt, setzt ihr Fenster; leere Felder passen auf alle. Die letzten zwei Zeilen gelten für Spuren, auf die keine andere passt.</translation>
    </message>
    <message>
        <source>Family</source>
        <translation>Familie</translation>
    </message>
    <message>
        <source>Adds a window for some tracks only.</source>
        <translation>Fügt ein Fenster für nur einige Spuren hinzu.</translation>
    </message>
    <message>
        <source>Removes the selected line.</source>
        <translation>Entfernt die ausgewählte Zeile.</translation>
    </message>
    <message>
        <source>Main output from</source>
        <translation>Summe von</translation>
    </message>
    <message>
        <source>Count spikes</source>
        <translation>Ausreißer zählen</translation>
    </message>
    <message>
        <source>If off, up to three short moments that alone set a track&apos;s peak are ignored. Turn it off for tracks with single spikes.</source>
        <translation>Ist es aus, zählen bis zu drei kurze Momente nicht, die allein die Spitze einer Spur setzen. Für Spuren mit einzelnen Ausreißern.</translation>
    </message>
    <message>
        <source>Any</source>
        <translation>Beliebig</translation>
    </message>
    <message>
        <source>Save the sheet</source>
        <translation>Blatt speichern</translation>
    </message>
    <message>
        <source>Name</source>
        <translation>Name</translation>
    </message>
    <message>
        <source>Percussive</source>
        <translation>Perkussiv</translation>
    </message>
    <message>
        <source>Sustained</source>
        <translation>Gehalten</translation>
    </message>
    <message>
        <source>Target windows</source>
        <translation>Zielfenster</translation>
    </message>
    <message>
        <source>Word in the name</source>
        <translation>Wort im Namen</translation>
    </message>
    <message>
        <source>The line is for tracks with this word in their name.</source>
        <translation>Die Zeile gilt für Spuren mit diesem Wort im Namen.</translation>
    </message>
    <message>
        <source>The line is for tracks of this family.</source>
        <translation>Die Zeile gilt für Spuren dieser Familie.</translation>
    </message>
    <message>
        <source>Kind</source>
        <translation>Art</translation>
    </message>
    <message>
        <source>The line is for tracks of this kind: percussive or sustained.</source>
        <translation>Die Zeile gilt für Spuren dieser Art: perkussiv oder gehalten.</translation>
    </message>
    <message>
        <source>Measure</source>
        <translation>Maß</translation>
    </message>
    <message>
        <source>What is compared with the window: sample peak or average.</source>
        <translation>Was mit dem Fenster verglichen wird: Samplespitze oder Mittelwert.</translation>
    </message>
    <message>
        <source>From</source>
        <translation>Von</translation>
    </message>
    <message>
        <source>The lower end of the window, in dBFS.</source>
        <translation>Das untere Ende des Fensters, in dBFS.</translation>
    </message>
    <message>
        <source>Target</source>
        <translation>Ziel</translation>
    </message>
    <message>
        <source>The level that staging aims at, in dBFS.</source>
        <translation>Der Pegel, auf den das Einpegeln zielt, in dBFS.</translation>
    </message>
    <message>
        <source>To</source>
        <translation>Bis</translation>
    </message>
    <message>
        <source>The upper end of the window, in dBFS.</source>
        <translation>Das obere Ende des Fensters, in dBFS.</translation>
    </message>
    <message>
        <source>Sheets that come with Isotonus, and your own. Choosing one fills in the table below.</source>
        <translation>Blätter, die mit Isotonus kommen, und deine eigenen. Eine Wahl füllt die Tabelle darunter.</translation>
    </message>
    <message>
        <source>Staging never raises the peak of a track above this level.</source>
        <translation>Das Einpegeln hebt die Spitze einer Spur nie über diesen Pegel.</translation>
    </message>
    <message>
        <source>The window for the peak of the mix, in dBFS. −10 to −6 dBFS keeps room for mastering.</source>
        <translation>Das Fenster für die Spitze des Mixes, in dBFS. −10 bis −6 dBFS lassen Platz für das Mastering.</translation>
    </message>
    <message>
        <source>Sets these windows for the session. Trims stay until you stage again.</source>
        <translation>Setzt diese Fenster für die Sitzung. Trims bleiben, bis du wieder einpegelst.</translation>
    </message>
</context>
<context>
    <name>isotonus::SongMap</name>
    <message>
        <source>Song map</source>
        <translation>Songkarte</translation>
    </message>
    <message>
        <source>at %1 of %2</source>
        <translation>bei %1 von %2</translation>
    </message>
    <message>
        <source>Section %1 to %2</source>
        <translation>Abschnitt %1 nach %2</translation>
    </message>
    <message>
        <source>%1, on %2: %3</source>
        <translation>%1, auf %2: %3</translation>
    </message>
    <message>
        <source>the room</source>
        <translation>dem Raum</translation>
    </message>
    <message>
        <source>%1. Click to go there, Shift and drag to loop (over names: whole sections), double click to loop a section, wheel to zoom; right click for sections.</source>
        <translation>%1. Klick geht dorthin, Umschalt und Ziehen setzt einen Loop (über Namen: ganze Abschnitte), Doppelklick einen Loop über einen Abschnitt, das Rad zoomt; Rechtsklick für Abschnitte.</translation>
    </message>
    <message>
        <source>New section here</source>
        <translation>Neuer Abschnitt hier</translation>
    </message>
    <message>
        <source>Listening note here…</source>
        <translation>Hörnotiz hier…</translation>
    </message>
    <message>
        <source>Remove the note</source>
        <translation>Notiz entfernen</translation>
    </message>
    <message>
        <source>Rename &apos;%1&apos;…</source>
        <translation>„%1“ umbenennen…</translation>
    </message>
    <message>
        <source>Remove &apos;%1&apos;</source>
        <translation>„%1“ entfernen</translation>
    </message>
    <message>
        <source>Remove section %1</source>
        <translation>Abschnitt %1 entfernen</translation>
    </message>
    <message>
        <source>%1, bar %2.%3</source>
        <translation>%1, Takt %2.%3</translation>
    </message>
    <message>
        <source>the song</source>
        <translation>der Song</translation>
    </message>
    <message>
        <source>%1 of %2</source>
        <translation>%1 von %2</translation>
    </message>
    <message>
        <source>zoomed: %1 to %2</source>
        <translation>gezoomt: %1 bis %2</translation>
    </message>
    <message>
        <source>wheel zooms, Shift and drag loops</source>
        <translation>Rad zoomt, Umschalt und Ziehen: Loop</translation>
    </message>
    <message>
        <source>%1, in %2</source>
        <translation>%1, in %2</translation>
    </message>
    <message>
        <source>%1, looping %2 to %3</source>
        <translation>%1, Loop von %2 bis %3</translation>
    </message>
    <message>
        <source>Drag to move the start of this section; right click to rename or remove it.</source>
        <translation>Ziehen verschiebt den Anfang dieses Abschnitts; ein Rechtsklick benennt ihn um oder entfernt ihn.</translation>
    </message>
    <message>
        <source>Reopen the note</source>
        <translation>Notiz wieder öffnen</translation>
    </message>
    <message>
        <source>Mark the note as done</source>
        <translation>Notiz als erledigt markieren</translation>
    </message>
    <message>
        <source>Reopen a note</source>
        <translation>Notiz wieder öffnen</translation>
    </message>
    <message>
        <source>Mark a note as done</source>
        <translation>Notiz als erledigt markieren</translation>
    </message>
    <message>
        <source>Colour of &apos;%1&apos;</source>
        <translation>Farbe von „%1“</translation>
    </message>
    <message>
        <source>Colour %1</source>
        <translation>Farbe %1</translation>
    </message>
    <message numerus="yes">
        <source>reading %n file(s), Esc stops</source>
        <translation>
            <numerusform>%n Datei wird gelesen, Esc hält an</numerusform>
            <numerusform>%n Dateien werden gelesen, Esc hält an</numerusform>
        </translation>
    </message>
    <message>
        <source>Sections name the parts of the song. Digits go to them.</source>
        <translation>Abschnitte benennen die Teile des Songs. Ziffern springen dorthin.</translation>
    </message>
    <message>
        <source>What was noticed at this time, to be worked off later.</source>
        <translation>Was an dieser Stelle aufgefallen ist, um es später abzuarbeiten.</translation>
    </message>
    <message>
        <source>A note that is done has a hollow mark. Compare lists all notes.</source>
        <translation>Eine erledigte Notiz hat ein hohles Zeichen. Vergleichen listet alle Notizen.</translation>
    </message>
</context>
<context>
    <name>isotonus::SpectrumPicture</name>
    <message>
        <source>Spectrum of the mix</source>
        <translation>Spektrum des Mixes</translation>
    </message>
    <message>
        <source>%1 %2</source>
        <translation>%1 %2</translation>
    </message>
    <message>
        <source>%1 %</source>
        <translation>%1 %</translation>
    </message>
    <message>
        <source>%1  %2</source>
        <translation>%1  %2</translation>
    </message>
    <message>
        <source>%1: nothing in the mix</source>
        <translation>%1: nichts im Mix</translation>
    </message>
    <message>
        <source>%1: the mix %2</source>
        <translation>%1: der Mix %2</translation>
    </message>
    <message>
        <source>Mix minus the recordings</source>
        <translation>Der Mix minus die Aufnahmen</translation>
    </message>
    <message>
        <source>the spectrum of the mix is being computed…</source>
        <translation>das Spektrum des Mixes wird berechnet…</translation>
    </message>
    <message>
        <source>Shares of the tracks in %1:</source>
        <translation>Anteile der Spuren an %1:</translation>
    </message>
    <message>
        <source>minus the references&apos; mean</source>
        <translation>minus Mittel der Referenzen</translation>
    </message>
    <message>
        <source>mix minus recording</source>
        <translation>Mix minus Aufnahme</translation>
    </message>
    <message>
        <source>%1: the mix %2, the recordings %3, difference %4.</source>
        <translation>%1: der Mix %2, die Aufnahmen %3, Unterschied %4.</translation>
    </message>
    <message>
        <source>%1: the mix %2, the references %3, difference %4. The references differ as much from each other.</source>
        <translation>%1: der Mix %2, die Referenzen %3, Unterschied %4. So viel unterscheiden sich auch die Referenzen voneinander.</translation>
    </message>
    <message>
        <source>%1: the mix %2, the references %3, difference %4. The references differ less from each other.</source>
        <translation>%1: der Mix %2, die Referenzen %3, Unterschied %4. Die Referenzen unterscheiden sich weniger voneinander.</translation>
    </message>
    <message>
        <source>Click to select the track, double click to open its chain.</source>
        <translation>Ein Klick wählt die Spur aus, ein Doppelklick öffnet ihre Kette.</translation>
    </message>
    <message>
        <source>no recordings yet</source>
        <translation>noch keine Aufnahmen</translation>
    </message>
</context>
<context>
    <name>isotonus::StageLane</name>
    <message>
        <source>Stage %1</source>
        <translation>%1 einpegeln</translation>
    </message>
    <message>
        <source>Lock %1</source>
        <translation>%1 sperren</translation>
    </message>
    <message>
        <source>Unlock %1</source>
        <translation>%1 entsperren</translation>
    </message>
    <message>
        <source>%1 is not measured yet</source>
        <translation>%1 ist noch nicht gemessen</translation>
    </message>
    <message>
        <source>That is %1 over.</source>
        <translation>Das sind %1 zu viel.</translation>
    </message>
    <message>
        <source>Trim %1 %2</source>
        <translation>Trim %1 %2</translation>
    </message>
    <message>
        <source>no file, no level</source>
        <translation>keine Datei, kein Pegel</translation>
    </message>
    <message>
        <source>being measured…</source>
        <translation>wird gemessen…</translation>
    </message>
    <message>
        <source>trim</source>
        <translation>Trim</translation>
    </message>
    <message>
        <source>Stage</source>
        <comment>on the button of a row</comment>
        <translation>Pegeln</translation>
    </message>
    <message>
        <source>Trims this track so that its level falls into its window. If the track is selected, all selected tracks are trimmed. (F)</source>
        <translation>Trimmt diese Spur, sodass ihr Pegel ins Fenster fällt. Ist sie ausgewählt, werden alle ausgewählten getrimmt. (F)</translation>
    </message>
    <message>
        <source>A locked track keeps its trim when the others are staged. (L)</source>
        <translation>Eine gesperrte Spur behält ihren Trim, wenn die anderen eingepegelt werden. (L)</translation>
    </message>
    <message>
        <source>%1: %2 %3 before, trim %4, %5 after; target %6 to %7.</source>
        <translation>%1: %2 %3 vorher, Trim %4, danach %5; Ziel %6 bis %7.</translation>
    </message>
    <message>
        <source>Outside its window: %1. Shift+T shows the options.</source>
        <translation>Außerhalb des Fensters: %1. Umschalt+T zeigt die Möglichkeiten.</translation>
    </message>
    <message>
        <source>Staged without %1 … %2 (hatched).</source>
        <translation>Ohne %1 … %2 eingepegelt (schraffiert).</translation>
    </message>
    <message>
        <source>The chain then changes the level by %1.</source>
        <translation>Die Kette ändert den Pegel dann um %1.</translation>
    </message>
    <message>
        <source>The peak is %1 above the ceiling.</source>
        <translation>Die Spitze liegt %1 über der Grenze.</translation>
    </message>
    <message numerus="yes">
        <source>Trim %n track(s) at %1</source>
        <translation>
            <numerusform>Trim von %n Spur auf %1</numerusform>
            <numerusform>Trim von %n Spuren auf %1</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <source>Trim %n track(s) by %1</source>
        <translation>
            <numerusform>Trim von %n Spur um %1</numerusform>
            <numerusform>Trim von %n Spuren um %1</numerusform>
        </translation>
    </message>
    <message>
        <source>limited by its peak</source>
        <translation>von der Spitze begrenzt</translation>
    </message>
    <message>
        <source>trim at its limit</source>
        <translation>Trim am Anschlag</translation>
    </message>
    <message>
        <source>%1 over the ceiling</source>
        <translation>%1 über der Grenze</translation>
    </message>
    <message>
        <source>chain %1</source>
        <translation>Kette %1</translation>
    </message>
</context>
<context>
    <name>isotonus::StageTable</name>
    <message>
        <source>Tame its spikes by clip gain</source>
        <translation>Ausreißer durch Clip-Gain zähmen</translation>
    </message>
    <message>
        <source>Staging, before and after</source>
        <translation>Einpegeln, vorher und nachher</translation>
    </message>
    <message>
        <source>Stage all</source>
        <translation>Alle einpegeln</translation>
    </message>
    <message>
        <source>Undo</source>
        <translation>Rückgängig</translation>
    </message>
    <message>
        <source>no file</source>
        <translation>keine Datei</translation>
    </message>
    <message>
        <source>being measured…</source>
        <translation>wird gemessen…</translation>
    </message>
    <message>
        <source>silent</source>
        <translation>still</translation>
    </message>
    <message>
        <source>not staged</source>
        <translation>nicht eingepegelt</translation>
    </message>
    <message>
        <source>Ignore its spikes: they pass the ceiling, and a compressor can catch them</source>
        <translation>Ausreißer übergehen: Sie überschreiten die Grenze, ein Kompressor kann sie fangen</translation>
    </message>
    <message>
        <source>Add clip gain where the trim ends</source>
        <translation>Clip-Gain hinzufügen, wo der Trim endet</translation>
    </message>
    <message>
        <source>Allow its peak above the ceiling</source>
        <translation>Spitze über der Grenze erlauben</translation>
    </message>
    <message>
        <source>Keep its level: give the track a window of its own</source>
        <translation>Pegel behalten: der Spur ein eigenes Fenster geben</translation>
    </message>
    <message>
        <source>Channel</source>
        <translation>Kanal</translation>
    </message>
    <message>
        <source>%1 of %2 tracks are in their windows; the sheet is &apos;%3&apos;, its peak ceiling %4.</source>
        <translation>%1 von %2 Spuren liegen in ihren Fenstern; das Blatt ist „%3“, seine Grenze für Spitzen %4.</translation>
    </message>
    <message>
        <source>%1 locked</source>
        <translation>%1 gesperrt</translation>
    </message>
    <message>
        <source>inside its window</source>
        <translation>im Fenster</translation>
    </message>
    <message>
        <source>below: %1</source>
        <translation>darunter: %1</translation>
    </message>
    <message>
        <source>above: %1</source>
        <translation>darüber: %1</translation>
    </message>
    <message>
        <source>%1, %2 over the ceiling</source>
        <translation>%1, %2 über der Grenze</translation>
    </message>
    <message>
        <source>Options…</source>
        <translation>Optionen…</translation>
    </message>
    <message>
        <source>Measure</source>
        <translation>Maß</translation>
    </message>
    <message>
        <source>Window</source>
        <translation>Fenster</translation>
    </message>
    <message>
        <source>Before</source>
        <translation>Vorher</translation>
    </message>
    <message>
        <source>Trim</source>
        <translation>Trim</translation>
    </message>
    <message>
        <source>After</source>
        <translation>Nachher</translation>
    </message>
    <message>
        <source>Peak before</source>
        <translation>Spitze vorher</translation>
    </message>
    <message>
        <source>Peak after</source>
        <translation>Spitze nachher</translation>
    </message>
    <message>
        <source>True peak</source>
        <translation>True Peak</translation>
    </message>
    <message>
        <source>Status</source>
        <translation>Stand</translation>
    </message>
    <message>
        <source>Levels before and after staging</source>
        <translation>Pegel vor und nach dem Einpegeln</translation>
    </message>
    <message>
        <source>The track.</source>
        <translation>Die Spur.</translation>
    </message>
    <message>
        <source>What is compared with the window: the sample peak of percussive tracks, the average of sustained ones.</source>
        <translation>Was mit dem Fenster verglichen wird: die Samplespitze perkussiver Spuren, der Mittelwert gehaltener.</translation>
    </message>
    <message>
        <source>The range for the level after the trim, in dBFS.</source>
        <translation>Der Bereich für den Pegel nach dem Trim, in dBFS.</translation>
    </message>
    <message>
        <source>The level of the file.</source>
        <translation>Der Pegel der Datei.</translation>
    </message>
    <message>
        <source>The gain before the chain. Staging sets it.</source>
        <translation>Der Gain vor der Kette. Das Einpegeln setzt ihn.</translation>
    </message>
    <message>
        <source>The level after the trim.</source>
        <translation>Der Pegel nach dem Trim.</translation>
    </message>
    <message>
        <source>The highest sample of the file.</source>
        <translation>Das höchste Sample der Datei.</translation>
    </message>
    <message>
        <source>The highest sample after the trim.</source>
        <translation>Das höchste Sample nach dem Trim.</translation>
    </message>
    <message>
        <source>The peak of the wave between its samples, after the trim.</source>
        <translation>Die Spitze der Welle zwischen ihren Samples, nach dem Trim.</translation>
    </message>
    <message>
        <source>Whether the level is inside the window, and the reason if it is not.</source>
        <translation>Ob der Pegel im Fenster liegt, und wenn nicht, der Grund.</translation>
    </message>
    <message>
        <source>Options</source>
        <translation>Optionen</translation>
    </message>
    <message>
        <source>Ways into the window for a track that does not reach it.</source>
        <translation>Wege ins Fenster für eine Spur, die es nicht erreicht.</translation>
    </message>
    <message>
        <source>Trims every unlocked track to its target window. Faders stay where they are.</source>
        <translation>Trimmt jede nicht gesperrte Spur in ihr Zielfenster. Fader bleiben, wo sie sind.</translation>
    </message>
    <message>
        <source>Undoes the last change of the session.</source>
        <translation>Macht die letzte Änderung der Sitzung rückgängig.</translation>
    </message>
</context>
<context>
    <name>isotonus::StationTabs</name>
    <message>
        <source>Gather: read the files, listen once, and fix what is wrong with them. (Alt+1)</source>
        <translation>Sammeln: Dateien lesen, einmal zuhören und Fehler beheben. (Alt+1)</translation>
    </message>
    <message>
        <source>Stage: trim every track to its working level. (Alt+2)</source>
        <translation>Einpegeln: jede Spur auf ihren Arbeitspegel trimmen. (Alt+2)</translation>
    </message>
    <message>
        <source>Balance: set faders and pans, and keep headroom. (Alt+3)</source>
        <translation>Balance: Fader und Panorama setzen und Headroom lassen. (Alt+3)</translation>
    </message>
    <message>
        <source>Shape: filters, compressors, sends and plug-ins, where the balance is not enough. (Alt+4)</source>
        <translation>Formen: Filter, Kompressoren, Sends und Plug-ins, wo die Balance nicht reicht. (Alt+4)</translation>
    </message>
    <message>
        <source>Ride: automation, where one setting does not work for the whole song. (Alt+5)</source>
        <translation>Fahren: Automation, wo eine Einstellung nicht für den ganzen Song reicht. (Alt+5)</translation>
    </message>
    <message>
        <source>Compare: hear the mix against references and earlier exports. (Alt+6)</source>
        <translation>Vergleichen: den Mix gegen Referenzen und frühere Exporte hören. (Alt+6)</translation>
    </message>
    <message>
        <source>Hand off: check the mix and export it for mastering. (Alt+7)</source>
        <translation>Übergeben: den Mix prüfen und fürs Mastering exportieren. (Alt+7)</translation>
    </message>
</context>
<context>
    <name>isotonus::TapPicture</name>
    <message numerus="yes">
        <source>%n repeat(s)</source>
        <translation>
            <numerusform>%n Wiederholung</numerusform>
            <numerusform>%n Wiederholungen</numerusform>
        </translation>
    </message>
    <message>
        <source>%1 s</source>
        <translation>%1 s</translation>
    </message>
    <message>
        <source>left</source>
        <translation>links</translation>
    </message>
    <message>
        <source>right</source>
        <translation>rechts</translation>
    </message>
    <message>
        <source>quarters at %1 a minute</source>
        <translation>Viertel bei %1 pro Minute</translation>
    </message>
    <message>
        <source>the song has no tempo yet: seconds</source>
        <translation>der Song hat noch kein Tempo: Sekunden</translation>
    </message>
    <message>
        <source>Repeat %1 after %2 ms, %3</source>
        <translation>Wiederholung %1 nach %2 ms, %3</translation>
    </message>
</context>
<context>
    <name>isotonus::TempoWindow</name>
    <message>
        <source>Tempo</source>
        <translation>Tempo</translation>
    </message>
    <message>
        <source>Quarters a minute and the time signature: 120, or 97.5 6/8.</source>
        <translation>Viertel in der Minute und Taktart: 120 oder 97,5 6/8.</translation>
    </message>
    <message>
        <source>At the playhead</source>
        <translation>An der Abspielposition</translation>
    </message>
    <message>
        <source>First bar at</source>
        <translation>Erster Takt bei</translation>
    </message>
    <message>
        <source>Tap</source>
        <translation>Tippen</translation>
    </message>
    <message>
        <source>Tap along with the beat, by mouse or with T, while the song plays.</source>
        <translation>Im Takt mittippen, mit der Maus oder mit T, während der Song läuft.</translation>
    </message>
    <message>
        <source>Find from kick and snare</source>
        <translation>Aus Kick und Snare finden</translation>
    </message>
    <message>
        <source>Compares the hits of tracks called kick, snare or clap with a grid of sixteenths.</source>
        <translation>Vergleicht die Schläge von Spuren, die Kick, Snare oder Clap heißen, mit einem Sechzehntelraster.</translation>
    </message>
    <message>
        <source>Half</source>
        <translation>Halb</translation>
    </message>
    <message>
        <source>Double</source>
        <translation>Doppelt</translation>
    </message>
    <message>
        <source>None</source>
        <translation>Keins</translation>
    </message>
    <message>
        <source>No tempo</source>
        <translation>Kein Tempo</translation>
    </message>
    <message>
        <source>Tempo %1</source>
        <translation>Tempo %1</translation>
    </message>
    <message numerus="yes">
        <source>%n tap(s).</source>
        <translation>
            <numerusform>%n Schlag.</numerusform>
            <numerusform>%n Schläge.</numerusform>
        </translation>
    </message>
    <message>
        <source>Note values need the song&apos;s tempo; quarters a minute:</source>
        <translation>Notenwerte brauchen das Tempo des Songs; Viertel in der Minute:</translation>
    </message>
    <message>
        <source>The start of a bar: bars are counted from there.</source>
        <translation>Der Anfang eines Takts: Von dort werden die Takte gezählt.</translation>
    </message>
    <message>
        <source>Sets the start of a bar to the playhead.</source>
        <translation>Setzt den Anfang eines Takts an die Abspielposition.</translation>
    </message>
    <message>
        <source>Halves the tempo. Use it when the tempo is twice too fast.</source>
        <translation>Halbiert das Tempo. Wenn es doppelt so schnell ist wie der Song.</translation>
    </message>
    <message>
        <source>Doubles the tempo. Use it when the tempo is only half as fast as the song.</source>
        <translation>Verdoppelt das Tempo. Wenn es halb so schnell ist wie der Song.</translation>
    </message>
    <message>
        <source>Removes the tempo of the song.</source>
        <translation>Entfernt das Tempo des Songs.</translation>
    </message>
    <message>
        <source>The song map draws the bars. Play the song, and check that they start with the kick.</source>
        <translation>Die Songkarte zeichnet die Takte. Spiel den Song und prüfe, ob sie mit der Kick beginnen.</translation>
    </message>
    <message>
        <source>Continue tapping: four taps are the minimum.</source>
        <translation>Tippe weiter: Vier Schläge sind das Minimum.</translation>
    </message>
    <message>
        <source>Comparing the hits…</source>
        <translation>Die Schläge werden verglichen…</translation>
    </message>
    <message>
        <source>No steady tempo was found: at least 8 hits of kick, snare or clap must be in time. Tap or type the tempo.</source>
        <translation>Kein festes Tempo gefunden: Mindestens 8 Schläge von Kick, Snare oder Clap müssen im Takt sein. Tippe das Tempo mit oder gib es ein.</translation>
    </message>
    <message>
        <source>%1 % of %2 hits are in time. Check the bars in the song map; Half and Double correct a tempo that is twice or half as fast.</source>
        <translation>%1 % von %2 Schlägen sind im Takt. Prüfe die Takte in der Songkarte; Halb und Doppelt berichtigen ein doppeltes oder halbes Tempo.</translation>
    </message>
    <message>
        <source>Half the tempo</source>
        <translation>Halbes Tempo</translation>
    </message>
    <message>
        <source>Double the tempo</source>
        <translation>Doppeltes Tempo</translation>
    </message>
    <message numerus="yes">
        <source>The song has %n tempo(s). This is the one at the playhead; the others stay.</source>
        <translation>
            <numerusform>Der Song hat %n Tempo. Dieses gilt an der Abspielposition.</numerusform>
            <numerusform>Der Song hat %n Tempi. Dies ist das an der Abspielposition; die anderen bleiben.</numerusform>
        </translation>
    </message>
</context>
<context>
    <name>isotonus::TransportBar</name>
    <message>
        <source>Play or stop</source>
        <translation>Abspielen oder anhalten</translation>
    </message>
    <message>
        <source>Play or stop (Space)</source>
        <translation>Abspielen oder anhalten (Leertaste)</translation>
    </message>
    <message>
        <source>Loop</source>
        <translation>Loop</translation>
    </message>
    <message>
        <source>Loop the marked stretch, or the section at the playhead (R)</source>
        <translation>Loop über den markierten Bereich oder den Abschnitt an der Abspielposition (R)</translation>
    </message>
    <message>
        <source>%1 muted</source>
        <translation>%1 stumm</translation>
    </message>
    <message>
        <source>%1 solo</source>
        <translation>%1 solo</translation>
    </message>
    <message>
        <source>Sound device</source>
        <translation>Tongerät</translation>
    </message>
    <message>
        <source>Go to %1 (key %2)</source>
        <translation>Zu %1 (Taste %2)</translation>
    </message>
    <message>
        <source>Go to %1</source>
        <translation>Zu %1</translation>
    </message>
    <message>
        <source>Number of muted tracks. Click to turn all mutes off. (Shift+M)</source>
        <translation>Zahl der stummen Spuren. Ein Klick schaltet alle Mutes aus. (Umschalt+M)</translation>
    </message>
    <message>
        <source>Number of soloed tracks. Click to turn all solos off. (Shift+S)</source>
        <translation>Zahl der Solospuren. Ein Klick schaltet alle Solos aus. (Umschalt+S)</translation>
    </message>
    <message>
        <source>Point at anything to see its explanation here. F1 lists the keys.</source>
        <translation>Zeige auf etwas, um hier die Erklärung zu sehen. F1 listet die Tasten.</translation>
    </message>
    <message>
        <source>No sound: simulated device</source>
        <translation>Kein Ton: simuliertes Gerät</translation>
    </message>
    <message>
        <source>Sound device: %1</source>
        <translation>Audiogerät: %1</translation>
    </message>
    <message>
        <source>No sound: waiting for %1</source>
        <translation>Kein Ton: warte auf %1</translation>
    </message>
</context>
<context>
    <name>isotonus::WidthPicture</name>
    <message>
        <source>Width by bands</source>
        <translation>Breite nach Bändern</translation>
    </message>
    <message>
        <source>%1</source>
        <translation>%1</translation>
    </message>
    <message>
        <source>%1: nothing in the mix</source>
        <translation>%1: nichts im Mix</translation>
    </message>
    <message>
        <source>no sound</source>
        <translation>kein Klang</translation>
    </message>
    <message>
        <source>the spectrum of the mix is being computed…</source>
        <translation>das Spektrum des Mixes wird berechnet…</translation>
    </message>
    <message>
        <source>low end (below 120 Hz), correlation of left and right: the mix %1</source>
        <translation>Tiefen (unter 120 Hz), Korrelation von links und rechts: der Mix %1</translation>
    </message>
    <message>
        <source>%1, %2 %3</source>
        <translation>%1, %2 %3</translation>
    </message>
    <message>
        <source>%1. +1 is mono; at 0 the channels are unrelated.</source>
        <translation>%1. +1 ist mono; bei 0 sind die Kanäle unabhängig.</translation>
    </message>
    <message>
        <source>side over mid, dB: at 0 dB both are equal</source>
        <translation>Seite zu Mitte, dB: bei 0 dB sind beide gleich</translation>
    </message>
    <message>
        <source>%1: side %2 against mid in the mix; left and right correlate by %3</source>
        <translation>%1: Seite im Mix %2 gegen Mitte; links und rechts korrelieren mit %3</translation>
    </message>
</context>
<context>
    <name>isotonus::Writing</name>
    <message>
        <source>Write %1 of %2</source>
        <translation>%1 von %2 schreiben</translation>
    </message>
    <message numerus="yes">
        <source>Write %n ride(s)</source>
        <translation>
            <numerusform>%n Automation schreiben</numerusform>
            <numerusform>%n Automationen schreiben</numerusform>
        </translation>
    </message>
</context>
<context>
    <name>text</name>
    <message>
        <source>off</source>
        <translation>aus</translation>
    </message>
    <message>
        <source>average, plain RMS</source>
        <translation>Mittelwert, einfacher RMS</translation>
    </message>
    <message>
        <source>average, AES17</source>
        <translation>Mittel, AES17</translation>
    </message>
</context>
</TS>
