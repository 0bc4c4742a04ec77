<?xml version="1.0" encoding="utf-8"?>
<!DOCTYPE TS>
<TS version="2.1" language="de_DE" sourcelanguage="en">
<context>
    <name>Compare</name>
    <message>
        <source>all</source>
        <translation>alle</translation>
    </message>
</context>
<context>
    <name>QMenu</name>
    <message>
        <source>ink %1</source>
        <translation>Tinte %1</translation>
    </message>
</context>
<context>
    <name>RideMenu</name>
    <message>
        <source>Rides of left and right are heard with dual pan. Turn it on in the menu of the track&apos;s name: Place left and right apart.</source>
        <translation>Fahrten von links und rechts sind bei getrenntem Panorama zu hören. Schalte es im Menü des Spurnamens ein: „Links und rechts getrennt platzieren“.</translation>
    </message>
    <message>
        <source>Ride this</source>
        <translation>Automatisieren</translation>
    </message>
    <message>
        <source>Ride this: %1</source>
        <translation>Automatisieren: %1</translation>
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
        <source>%1 of room</source>
        <translation>%1 Platz</translation>
    </message>
    <message>
        <source>in its window</source>
        <translation>im Fenster</translation>
    </message>
    <message>
        <source>fader, dB</source>
        <translation>Fader, dB</translation>
    </message>
    <message>
        <source>level after it, dBFS</source>
        <translation>danach, dBFS</translation>
    </message>
    <message>
        <source>peak, dBFS</source>
        <translation>Spitze, dBFS</translation>
    </message>
    <message>
        <source>pan</source>
        <translation>Pan</translation>
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
        <source>Every fader off: bring the tracks up one at a time.</source>
        <translation>Alle Fader zu: hole die Spuren eine nach der anderen hoch.</translation>
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
        <source>The same tracks as points: across is pan, up is level, size is how wide in frequency. (V)</source>
        <translation>Dieselben Spuren als Punkte: quer ist Pan, hoch ist Pegel, Größe ist die Breite im Spektrum. (V)</translation>
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
        <source>a band&apos;s share: click it</source>
        <translation>Anteil an einem Band: anklicken</translation>
    </message>
    <message>
        <source>Gather</source>
        <translation>Sammeln</translation>
    </message>
    <message>
        <source>%1 to read</source>
        <translation>%1 zu lesen</translation>
    </message>
    <message>
        <source>%1 missing</source>
        <translation>%1 fehlen</translation>
    </message>
    <message>
        <source>%1, %2 flagged</source>
        <translation>%1, %2 markiert</translation>
    </message>
    <message>
        <source>%1 tracks</source>
        <translation>%1 Spuren</translation>
    </message>
    <message>
        <source>Clips and findings</source>
        <translation>Clips und Befunde</translation>
    </message>
    <message>
        <source>Shows what was found in the focused track, and its clips: split, trim, fade, lift. (E)</source>
        <translation>Zeigt, was in der gewählten Spur gefunden wurde, und ihre Clips: teilen, kürzen, blenden, anheben. (E)</translation>
    </message>
    <message>
        <source>what was recorded, and what was found in it</source>
        <translation>was aufgenommen wurde, und was darin gefunden wurde</translation>
    </message>
    <message>
        <source>what each row brings to the mix, after its fader</source>
        <translation>was jede Zeile nach ihrem Fader zum Mix beiträgt</translation>
    </message>
    <message>
        <source>Hand off</source>
        <translation>Übergeben</translation>
    </message>
    <message>
        <source>headroom %1</source>
        <translation>Reserve %1</translation>
    </message>
    <message>
        <source>Ride</source>
        <translation>Fahren</translation>
    </message>
    <message>
        <source>%1 ridden</source>
        <translation>%1 gefahren</translation>
    </message>
    <message>
        <source>the ride of each row over what it plays; up is louder</source>
        <translation>die Fahrt jeder Zeile über dem, was sie spielt; oben ist lauter</translation>
    </message>
    <message>
        <source>Shape</source>
        <translation>Formen</translation>
    </message>
    <message>
        <source>all out</source>
        <translation>alle aus</translation>
    </message>
    <message>
        <source>chain</source>
        <translation>Kette</translation>
    </message>
    <message>
        <source>chain; a click takes out or in</source>
        <translation>Kette; Klick: ein/aus</translation>
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
        <source>%1 of %2, %3 held</source>
        <translation>%1/%2, %3 gehalten</translation>
    </message>
    <message>
        <source>%1 of %2 in window</source>
        <translation>%1 von %2 im Fenster</translation>
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
        <source>avg plain</source>
        <translation>Mittel einf.</translation>
    </message>
    <message>
        <source>average</source>
        <translation>Mittel</translation>
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
        <source>Trims every unlocked track to its target window; faders stay where they are.</source>
        <translation>Trimmt jede nicht gesperrte Spur in ihr Zielfenster; Fader bleiben, wo sie sind.</translation>
    </message>
    <message>
        <source>Sheet…</source>
        <translation>Blatt…</translation>
    </message>
    <message>
        <source>The target sheet: which level each track is wanted at. (Ctrl+T)</source>
        <translation>Das Zielblatt: bei welchem Pegel jede Spur gewünscht ist. (Ctrl+T)</translation>
    </message>
    <message>
        <source>Table…</source>
        <translation>Tabelle…</translation>
    </message>
    <message>
        <source>Every figure before and after, and what can be done where a track cannot reach its window. (Shift+T)</source>
        <translation>Alle Werte vorher und nachher, und was zu tun ist, wo eine Spur ihr Fenster nicht erreicht. (Shift+T)</translation>
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
        <source>Rows</source>
        <translation>Zeilen</translation>
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
        <source>The window</source>
        <translation>Das Fenster</translation>
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
        <source>There is no other track to make way for.</source>
        <translation>Es gibt keine andere Spur, der Platz zu machen wäre.</translation>
    </message>
    <message>
        <source>a duck, by its level</source>
        <translation>ein Ducker, nach ihrem Pegel</translation>
    </message>
    <message>
        <source>a ride, drawn at its hits</source>
        <translation>eine Fahrt, an ihren Schlägen gezeichnet</translation>
    </message>
    <message>
        <source>%1 makes way</source>
        <translation>%1 macht Platz</translation>
    </message>
    <message>
        <source>for</source>
        <translation>für</translation>
    </message>
    <message>
        <source>as</source>
        <translation>als</translation>
    </message>
    <message>
        <source>down by</source>
        <translation>tiefer um</translation>
    </message>
    <message>
        <source>down by, %1</source>
        <translation>tiefer um, %1</translation>
    </message>
    <message>
        <source>before the hit, ms (drawn only)</source>
        <translation>vor dem Schlag, ms (nur gezeichnet)</translation>
    </message>
    <message>
        <source>hold, ms</source>
        <translation>halten, ms</translation>
    </message>
    <message>
        <source>back within, ms</source>
        <translation>zurück in, ms</translation>
    </message>
    <message>
        <source>Make way for %1</source>
        <translation>Platz machen für %1</translation>
    </message>
    <message>
        <source>Dips around %1</source>
        <translation>Senken bei %1</translation>
    </message>
    <message>
        <source>Something failed that should not: %1. What you have not saved is kept aside.</source>
        <translation>Etwas ist schiefgegangen, was nicht sein darf: %1. Was du nicht gesichert hast, ist beiseitegelegt.</translation>
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
        <translation>Pan</translation>
    </message>
    <message>
        <source>width</source>
        <translation>Breite</translation>
    </message>
    <message>
        <source>mute</source>
        <translation>stumm</translation>
    </message>
    <message>
        <source>left side</source>
        <translation>linke Seite</translation>
    </message>
    <message>
        <source>right side</source>
        <translation>rechte Seite</translation>
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
        <source>the mix peaks at {} dBFS, at {}: {:.1f} dB of headroom, {:g} dB are asked for</source>
        <translation>die Spitze des Mixes ist {} dBFS, bei {}: {:.1f} dB Reserve, verlangt sind {:g} dB</translation>
    </message>
    <message>
        <source>Processing after the mix needs room to work in.</source>
        <translation>Bearbeitung nach dem Mix braucht Platz.</translation>
    </message>
    <message>
        <source>{} dBFS at {}</source>
        <translation>{} dBFS bei {}</translation>
    </message>
    <message>
        <source>{} dBFS at {}, made by {}</source>
        <translation>{} dBFS bei {}, gemacht von {}</translation>
    </message>
    <message>
        <source>Without these rows there the peak would be lower by so much.</source>
        <translation>Ohne diese Zeilen wäre die Spitze dort um so viel tiefer.</translation>
    </message>
    <message>
        <source>the mix is not too quiet: {} dBFS</source>
        <translation>der Mix ist nicht zu leise: {} dBFS</translation>
    </message>
    <message>
        <source>the mix peaks at only {:.1f} dBFS; {:g} is expected at least</source>
        <translation>die Spitze des Mixes ist nur {:.1f} dBFS; mindestens {:g} werden erwartet</translation>
    </message>
    <message>
        <source>A mix far below full scale gives its lowest bits away.</source>
        <translation>Ein Mix weit unter Vollaussteuerung verschenkt seine untersten Bits.</translation>
    </message>
    <message>
        <source>the true peak is {} dBTP</source>
        <translation>der True Peak ist {} dBTP</translation>
    </message>
    <message>
        <source>Between its samples the wave may reach higher than any of them, and clip a converter.</source>
        <translation>Zwischen den Samples kann die Welle höher reichen als jedes von ihnen und einen Wandler übersteuern.</translation>
    </message>
    <message>
        <source>the mix clips in {} runs</source>
        <translation>der Mix übersteuert an {} Stellen</translation>
    </message>
    <message>
        <source>the mix goes beyond full scale, to {:+.1f} dBFS</source>
        <translation>der Mix geht über Vollaussteuerung, auf {:+.1f} dBFS</translation>
    </message>
    <message>
        <source>the mix does not clip</source>
        <translation>der Mix übersteuert nicht</translation>
    </message>
    <message>
        <source>What is clipped here cannot be brought back.</source>
        <translation>Was hier beschnitten ist, kommt nicht zurück.</translation>
    </message>
    <message>
        <source>the mix&apos;s DC offset is {:.3f} % of full scale</source>
        <translation>der DC-Versatz des Mixes ist {:.3f} % der Vollaussteuerung</translation>
    </message>
    <message>
        <source>It takes room from one side of the wave, and clicks at cuts.</source>
        <translation>Er nimmt einer Seite der Welle Platz und knackt an Schnitten.</translation>
    </message>
    <message>
        <source>the mix&apos;s loudness is {:.1f} LUFS: quieter than what it will be heard beside</source>
        <translation>die Lautheit des Mixes ist {:.1f} LUFS: leiser als das, neben dem er zu hören sein wird</translation>
    </message>
    <message>
        <source>the mix&apos;s loudness is {:.1f} LUFS: louder than what it will be heard beside</source>
        <translation>die Lautheit des Mixes ist {:.1f} LUFS: lauter als das, neben dem er zu hören sein wird</translation>
    </message>
    <message>
        <source>the mix&apos;s loudness is {:.1f} LUFS</source>
        <translation>die Lautheit des Mixes ist {:.1f} LUFS</translation>
    </message>
    <message>
        <source>Players turn loud songs down; quiet ones stay quiet.</source>
        <translation>Abspielgeräte drehen laute Songs herunter; leise bleiben leise.</translation>
    </message>
    <message>
        <source>summed to mono the mix loses {:.1f} dB</source>
        <translation>in Mono verliert der Mix {:.1f} dB</translation>
    </message>
    <message>
        <source>Phones, clubs and small radios play the sum of both sides.</source>
        <translation>Telefone, Clubs und kleine Radios spielen die Summe beider Seiten.</translation>
    </message>
    <message>
        <source>the mix begins to sound at {}</source>
        <translation>der Mix beginnt bei {} zu klingen</translation>
    </message>
    <message>
        <source>Silence before the song was mostly left over.</source>
        <translation>Stille vor dem Song ist meist übrig geblieben.</translation>
    </message>
    <message>
        <source>the mix is silent for its last {:.1f} s</source>
        <translation>der Mix ist die letzten {:.1f} s still</translation>
    </message>
    <message>
        <source>Silence after the song was mostly left over.</source>
        <translation>Stille nach dem Song ist meist übrig geblieben.</translation>
    </message>
    <message>
        <source>the mix ends at {:.1f} dBFS: its end is cut off</source>
        <translation>der Mix endet bei {:.1f} dBFS: sein Ende ist abgeschnitten</translation>
    </message>
    <message>
        <source>the mix has died away where it ends</source>
        <translation>der Mix ist verklungen, wo er endet</translation>
    </message>
    <message>
        <source>A tail that is cut off is heard as a fault, and cannot be added later.</source>
        <translation>Ein abgeschnittener Ausklang ist als Fehler zu hören und lässt sich später nicht ergänzen.</translation>
    </message>
    <message>
        <source>{} ({} runs)</source>
        <translation>{} ({} Stellen)</translation>
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
        <source>What is not there is not in the mix.</source>
        <translation>Was nicht da ist, ist nicht im Mix.</translation>
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
        <source>Solo is left out of exports: what leaves is not what you hear.</source>
        <translation>Solo bleibt in Exporten außer Acht: was hinausgeht, ist nicht, was du hörst.</translation>
    </message>
    <message>
        <source>nothing is muted</source>
        <translation>nichts ist stumm</translation>
    </message>
    <message>
        <source>A mute that was forgotten is a part that is missing.</source>
        <translation>Eine vergessene Stummschaltung ist ein fehlender Teil.</translation>
    </message>
    <message>
        <source>reach nothing (fader off, or a bus that is off)</source>
        <translation>erreichen nichts (Fader zu, oder ein Bus, der zu ist)</translation>
    </message>
    <message>
        <source>every track reaches the main output</source>
        <translation>jede Spur erreicht die Summe</translation>
    </message>
    <message>
        <source>A row that is on and not heard is mostly a mistake.</source>
        <translation>Eine Zeile, die an und nicht zu hören ist, ist meist ein Versehen.</translation>
    </message>
    <message>
        <source>recorded with clipping</source>
        <translation>übersteuert aufgenommen</translation>
    </message>
    <message>
        <source>no track has clipped runs</source>
        <translation>keine Spur hat übersteuerte Stellen</translation>
    </message>
    <message>
        <source>It distorts, whatever its level in the mix.</source>
        <translation>Es verzerrt, wie leise es im Mix auch ist.</translation>
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
        <source>It takes room, and clicks at cuts.</source>
        <translation>Er nimmt Platz und knackt an Schnitten.</translation>
    </message>
    <message>
        <source>samples that are not numbers (played as silence)</source>
        <translation>Samples, die keine Zahlen sind (als Stille gespielt)</translation>
    </message>
    <message>
        <source>every sample is a number</source>
        <translation>jedes Sample ist eine Zahl</translation>
    </message>
    <message>
        <source>The file was written by something that failed.</source>
        <translation>Die Datei wurde von etwas geschrieben, das versagte.</translation>
    </message>
    <message>
        <source>files of another rate (converted)</source>
        <translation>Dateien anderer Rate (gewandelt)</translation>
    </message>
    <message>
        <source>every file has the session&apos;s rate</source>
        <translation>jede Datei hat die Rate der Sitzung</translation>
    </message>
    <message>
        <source>A conversion more than is needed; fine when it is meant.</source>
        <translation>Eine Wandlung mehr als nötig; gut, wenn sie gewollt ist.</translation>
    </message>
    <message>
        <source>recorded at a higher rate than the session&apos;s</source>
        <translation>mit höherer Rate aufgenommen als die der Sitzung</translation>
    </message>
    <message>
        <source>the session&apos;s rate is not below any file&apos;s</source>
        <translation>die Rate der Sitzung liegt unter keiner Datei</translation>
    </message>
    <message>
        <source>What lies above half the session&apos;s rate is lost.</source>
        <translation>Was über der halben Rate der Sitzung liegt, geht verloren.</translation>
    </message>
    <message>
        <source>rides at the end of their travel</source>
        <translation>Fahrten am Ende ihres Wegs</translation>
    </message>
    <message>
        <source>no ride reaches the end of its travel</source>
        <translation>keine Fahrt erreicht das Ende ihres Wegs</translation>
    </message>
    <message>
        <source>The control wanted to go farther than it can: the fader or the trim should do the rest.</source>
        <translation>Der Regler wollte weiter, als er kann: Fader oder Trim sollten den Rest tun.</translation>
    </message>
    <message>
        <source>findings that are still open</source>
        <translation>noch offene Befunde</translation>
    </message>
    <message>
        <source>nothing that was found is still open</source>
        <translation>nichts Gefundenes ist noch offen</translation>
    </message>
    <message>
        <source>What was heard while gathering is heard in the mix too.</source>
        <translation>Was beim Sammeln zu hören war, ist auch im Mix zu hören.</translation>
    </message>
    <message>
        <source>it is not installed</source>
        <translation>es ist nicht installiert</translation>
    </message>
    <message>
        <source>{} (most {:.1f} dB, {:.0f} s long over {:g})</source>
        <translation>{} (höchstens {:.1f} dB, {:.0f} s lang über {:g})</translation>
    </message>
    <message>
        <source>{} ({:+.1f} dBFS after {})</source>
        <translation>{} ({:+.1f} dBFS nach {})</translation>
    </message>
    <message>
        <source>reduced deeply for long</source>
        <translation>lange tief reduziert</translation>
    </message>
    <message>
        <source>no compressor reduces by more than 10 dB for long</source>
        <translation>kein Kompressor reduziert lange um mehr als 10 dB</translation>
    </message>
    <message>
        <source>That much is heard as pumping; two gentle steps do the same.</source>
        <translation>So viel ist als Pumpen zu hören; zwei sanfte Schritte tun dasselbe.</translation>
    </message>
    <message>
        <source>It lets through what comes in: the export is without what it would do.</source>
        <translation>Er lässt durch, was kommt: dem Export fehlt, was er täte.</translation>
    </message>
    <message>
        <source>beyond full scale inside a chain</source>
        <translation>in einer Kette über Vollaussteuerung</translation>
    </message>
    <message>
        <source>no chain goes beyond full scale inside</source>
        <translation>keine Kette geht innen über Vollaussteuerung</translation>
    </message>
    <message>
        <source>It does not clip here, but what saturates or is rebuilt elsewhere will.</source>
        <translation>Hier übersteuert es nicht, aber was sättigt oder anderswo nachgebaut wird, schon.</translation>
    </message>
    <message>
        <source>listening to a row that is not there</source>
        <translation>hören auf eine Zeile, die nicht da ist</translation>
    </message>
    <message>
        <source>every key&apos;s row is there</source>
        <translation>die Zeile, auf die gehört wird, ist überall da</translation>
    </message>
    <message>
        <source>A processor whose key is gone hears silence and does nothing.</source>
        <translation>Ein Prozessor, dessen Auslöser fehlt, hört Stille und tut nichts.</translation>
    </message>
    <message>
        <source>all chains are out</source>
        <translation>alle Ketten sind aus</translation>
    </message>
    <message>
        <source>Out is for comparing; the export has none of these chains.</source>
        <translation>Aus ist zum Vergleichen; der Export hat nichts von diesen Ketten.</translation>
    </message>
    <message>
        <source>chains that are out as a whole</source>
        <translation>Ketten, die als Ganzes aus sind</translation>
    </message>
    <message>
        <source>no chain is out as a whole</source>
        <translation>keine Kette ist als Ganzes aus</translation>
    </message>
    <message>
        <source>the mix is heard</source>
        <translation>der Mix ist zu hören</translation>
    </message>
    <message>
        <source>the mix is silent from start to end</source>
        <translation>der Mix ist von Anfang bis Ende still</translation>
    </message>
    <message>
        <source>There is nothing to hand off.</source>
        <translation>Es gibt nichts zu übergeben.</translation>
    </message>
    <message>
        <source>the main output is ridden: a mastering engineer mostly wants to do fades</source>
        <translation>die Summe wird gefahren: Blenden macht das Mastering meist lieber selbst</translation>
    </message>
    <message>
        <source>What is done to the whole mix belongs to mastering, unless it was agreed.</source>
        <translation>Was am ganzen Mix geschieht, gehört ins Mastering, wenn nichts anderes abgemacht ist.</translation>
    </message>
    <message>
        <source>the main output has no chain</source>
        <translation>die Summe hat keine Kette</translation>
    </message>
    <message>
        <source>What limits or squeezes the whole mix cannot be taken back; mastering wants the mix without it.</source>
        <translation>Was den ganzen Mix begrenzt oder drückt, lässt sich nicht zurücknehmen; Mastering will den Mix ohne.</translation>
    </message>
    <message>
        <source>rides are bypassed</source>
        <translation>Fahrten sind umgangen</translation>
    </message>
    <message>
        <source>no ride is bypassed</source>
        <translation>keine Fahrt ist umgangen</translation>
    </message>
    <message>
        <source>A bypass is for comparing; the export has none of these rides.</source>
        <translation>Umgehen ist zum Vergleichen; der Export hat nichts von diesen Fahrten.</translation>
    </message>
    <message>
        <source>something stands between the mix and your ears (dim, mono, a playback check …)</source>
        <translation>etwas steht zwischen dem Mix und deinen Ohren (Dim, Mono, eine Abspielprobe …)</translation>
    </message>
    <message>
        <source>you hear the mix as it is</source>
        <translation>du hörst den Mix, wie er ist</translation>
    </message>
    <message>
        <source>It never reaches the export, so that what you judge is not what leaves.</source>
        <translation>Es gelangt nie in den Export: was du beurteilst, ist nicht, was hinausgeht.</translation>
    </message>
    <message>
        <source>its sides are placed apart</source>
        <translation>ihre Seiten sind getrennt platziert</translation>
    </message>
    <message>
        <source>its sides are placed together</source>
        <translation>ihre Seiten sind zusammen platziert</translation>
    </message>
    <message>
        <source>centred below</source>
        <translation>in der Mitte unter</translation>
    </message>
    <message>
        <source>solo-safe</source>
        <translation>solo-fest</translation>
    </message>
    <message>
        <source>no longer solo-safe</source>
        <translation>nicht mehr solo-fest</translation>
    </message>
    <message>
        <source>polarity inverted</source>
        <translation>Polarität gedreht</translation>
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
        <source>other rows belong to it</source>
        <translation>andere Zeilen gehören dazu</translation>
    </message>
    <message>
        <source>main fader</source>
        <translation>Summenfader</translation>
    </message>
    <message>
        <source>its chain is out</source>
        <translation>ihre Kette ist aus</translation>
    </message>
    <message>
        <source>its chain is in</source>
        <translation>ihre Kette ist ein</translation>
    </message>
    <message>
        <source>another pan law</source>
        <translation>ein anderes Pan-Gesetz</translation>
    </message>
    <message>
        <source>sample rate</source>
        <translation>Samplerate</translation>
    </message>
    <message>
        <source>all rides are out</source>
        <translation>alle Fahrten sind aus</translation>
    </message>
    <message>
        <source>all rides are in</source>
        <translation>alle Fahrten sind ein</translation>
    </message>
    <message>
        <source>all chains are in</source>
        <translation>alle Ketten sind ein</translation>
    </message>
    <message>
        <source>another tempo</source>
        <translation>ein anderes Tempo</translation>
    </message>
    <message>
        <source>Clear the floor</source>
        <translation>Boden frei</translation>
    </message>
    <message>
        <source>A low cut at 100 Hz, where most rows begin.</source>
        <translation>Ein Low Cut bei 100 Hz, wo die meisten Zeilen beginnen.</translation>
    </message>
    <message>
        <source>Under the melody</source>
        <translation>Unter der Melodie</translation>
    </message>
    <message>
        <source>A low cut at 150 Hz: leaves the bottom to kick and bass.</source>
        <translation>Ein Low Cut bei 150 Hz: lässt Kick und Bass den Boden.</translation>
    </message>
    <message>
        <source>Still stage</source>
        <translation>Ruhige Bühne</translation>
    </message>
    <message>
        <source>A steep low cut at 45 Hz: takes rumble from under drums.</source>
        <translation>Ein steiler Low Cut bei 45 Hz: nimmt das Rumpeln unter dem Schlagzeug weg.</translation>
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
        <source>A cut at 350 Hz where a kick sounds like a box, a little more of its top.</source>
        <translation>Ein Schnitt bei 350 Hz, wo eine Kick nach Kiste klingt, etwas mehr Höhen.</translation>
    </message>
    <message>
        <source>Scooped snare</source>
        <translation>Ausgehöhlte Snare</translation>
    </message>
    <message>
        <source>A cut at 800 Hz, where a snare stands in the way of voices.</source>
        <translation>Ein Schnitt bei 800 Hz, wo eine Snare den Stimmen im Weg steht.</translation>
    </message>
    <message>
        <source>Quiet between hits</source>
        <translation>Still zwischen Schlägen</translation>
    </message>
    <message>
        <source>A gate: what spills into a drum&apos;s microphone between its hits is turned down.</source>
        <translation>Ein Gate: was zwischen den Schlägen ins Mikrofon einstreut, wird leiser.</translation>
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
        <source>Saturation from 80 to 400 Hz: partials that phones can play.</source>
        <translation>Sättigung von 80 bis 400 Hz: Teiltöne, die Telefone spielen können.</translation>
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
        <source>Make way for the kick</source>
        <translation>Der Kick Platz machen</translation>
    </message>
    <message>
        <source>A duck of 4 dB: choose the kick as its key, and the bass makes way at every hit.</source>
        <translation>Ein Ducker mit 4 dB: wähle die Kick als Auslöser, und der Bass macht bei jedem Schlag Platz.</translation>
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
        <source>A wide cut at 1.2 kHz: keys leave room for a voice, even before there is one.</source>
        <translation>Ein breiter Schnitt bei 1,2 kHz: Tasten lassen einer Stimme Raum, noch ehe es eine gibt.</translation>
    </message>
    <message>
        <source>Even piano</source>
        <translation>Ebenes Klavier</translation>
    </message>
    <message>
        <source>3.5:1 and 3 dB back: a piano whose loud chords no longer jump out.</source>
        <translation>3,5:1 und 3 dB zurück: ein Klavier, dessen laute Akkorde nicht mehr herausspringen.</translation>
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
        <source>A bright, dense ring without walls that are heard, after a voice has begun.</source>
        <translation>Ein heller, dichter Klang ohne hörbare Wände, nachdem eine Stimme begonnen hat.</translation>
    </message>
    <message>
        <source>Under the bridge</source>
        <translation>Unter der Brücke</translation>
    </message>
    <message>
        <source>A long, dark vault: sets a row far back.</source>
        <translation>Ein langes, dunkles Gewölbe: stellt eine Zeile weit nach hinten.</translation>
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
        <source>A chorus: the row twice, the second a little out of step.</source>
        <translation>Ein Chorus: die Zeile zweimal, die zweite etwas versetzt.</translation>
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
        <translation>Decke</translation>
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
        <translation>Ausklang</translation>
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
        <translation>Drive</translation>
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
        <translation>halten</translation>
    </message>
    <message>
        <source>in</source>
        <translation>ein</translation>
    </message>
    <message>
        <source>input</source>
        <translation>Eingang</translation>
    </message>
    <message>
        <source>key high cut</source>
        <translation>Auslöser High Cut</translation>
    </message>
    <message>
        <source>key low cut</source>
        <translation>Auslöser Low Cut</translation>
    </message>
    <message>
        <source>kind</source>
        <translation>Art</translation>
    </message>
    <message>
        <source>knee</source>
        <translation>Knie</translation>
    </message>
    <message>
        <source>left</source>
        <translation>linken</translation>
    </message>
    <message>
        <source>limit</source>
        <translation>Limit</translation>
    </message>
    <message>
        <source>lookahead</source>
        <translation>Vorausschau</translation>
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
        <translation>Ausgleich</translation>
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
        <translation>Vorverzögerung</translation>
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
        <translation>rechten</translation>
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
        <translation>Schwelle</translation>
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
        <source>where</source>
        <translation>wo</translation>
    </message>
    <message>
        <source>within</source>
        <translation>dazwischen</translation>
    </message>
    <message>
        <source>inverted against {}</source>
        <translation>gegen {} gedreht</translation>
    </message>
    <message>
        <source>{:.1f} ms late and inverted against {}</source>
        <translation>{:.1f} ms später und gedreht gegen {}</translation>
    </message>
    <message>
        <source>{:.1f} ms early and inverted against {}</source>
        <translation>{:.1f} ms früher und gedreht gegen {}</translation>
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
        <source>: the low end would gain {:.1f} dB</source>
        <translation>: die Tiefen gewännen {:.1f} dB</translation>
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
        <source>as good as silent: peak {:.0f} dBFS</source>
        <translation>so gut wie still: Spitze {:.0f} dBFS</translation>
    </message>
    <message>
        <source>clipped {}×</source>
        <translation>{}× übersteuert</translation>
    </message>
    <message>
        <source>{} samples are not numbers</source>
        <translation>{} Samples sind keine Zahlen</translation>
    </message>
    <message>
        <source>left side is dead</source>
        <translation>linke Seite ist tot</translation>
    </message>
    <message>
        <source>right side is dead</source>
        <translation>rechte Seite ist tot</translation>
    </message>
    <message>
        <source>mono in a stereo file</source>
        <translation>mono in einer Stereodatei</translation>
    </message>
    <message>
        <source>left side louder by {:.0f} dB</source>
        <translation>linke Seite {:.0f} dB lauter</translation>
    </message>
    <message>
        <source>right side louder by {:.0f} dB</source>
        <translation>rechte Seite {:.0f} dB lauter</translation>
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
        <translation>leise: Mittel {:.0f} dBFS</translation>
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
        <translation>Sample-Spitze</translation>
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
        <translation>Verlust in Mono</translation>
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
        <translation>Fahrt am Ende</translation>
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
        <source>not numbers</source>
        <translation>keine Zahlen</translation>
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
        <translation>Fahrten</translation>
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
        <source>keys</source>
        <translation>Tasten</translation>
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
        <source>this is no WAVE file</source>
        <translation>dies ist keine WAVE-Datei</translation>
    </message>
    <message>
        <source>its header says {} bytes, it has {}</source>
        <translation>laut ihrem Kopf hat sie {} Bytes, es sind {}</translation>
    </message>
    <message>
        <source>the length of its samples in the header is wrong</source>
        <translation>die Länge der Samples in ihrem Kopf ist falsch</translation>
    </message>
    <message>
        <source>it has no samples</source>
        <translation>sie hat keine Samples</translation>
    </message>
    <message>
        <source>this is no AIFF file</source>
        <translation>dies ist keine AIFF-Datei</translation>
    </message>
    <message>
        <source>this is no FLAC file</source>
        <translation>dies ist keine FLAC-Datei</translation>
    </message>
    <message>
        <source>its header does not say how long it is</source>
        <translation>ihr Kopf sagt nicht, wie lang sie ist</translation>
    </message>
    <message>
        <source>this is no Ogg file</source>
        <translation>dies ist keine Ogg-Datei</translation>
    </message>
    <message>
        <source>its end is missing</source>
        <translation>ihr Ende fehlt</translation>
    </message>
    <message>
        <source>its last page is not whole</source>
        <translation>ihre letzte Seite ist nicht vollständig</translation>
    </message>
    <message>
        <source>this is no MPEG audio file</source>
        <translation>dies ist keine MPEG-Audiodatei</translation>
    </message>
    <message>
        <source>the conversion to {} Hz failed: {}</source>
        <translation>die Umwandlung in {} Hz ist misslungen: {}</translation>
    </message>
    <message>
        <source>a left and a right side must be mono files</source>
        <translation>eine linke und eine rechte Seite müssen Monodateien sein</translation>
    </message>
    <message>
        <source>channel {} is wanted, the file has {}</source>
        <translation>Kanal {} ist verlangt, die Datei hat {}</translation>
    </message>
    <message>
        <source>the folder cannot be read: {}</source>
        <translation>der Ordner kann nicht gelesen werden: {}</translation>
    </message>
    <message>
        <source>a file of this name is in the way of the folder</source>
        <translation>eine Datei dieses Namens ist dem Ordner im Weg</translation>
    </message>
    <message>
        <source>the folder cannot be made: {}</source>
        <translation>der Ordner kann nicht angelegt werden: {}</translation>
    </message>
    <message>
        <source>the file does not exist</source>
        <translation>die Datei gibt es nicht</translation>
    </message>
    <message>
        <source>no permission to read the file</source>
        <translation>keine Erlaubnis, die Datei zu lesen</translation>
    </message>
    <message>
        <source>the file cannot be read: {}</source>
        <translation>die Datei kann nicht gelesen werden: {}</translation>
    </message>
    <message>
        <source>this is a folder, not a file</source>
        <translation>dies ist ein Ordner, keine Datei</translation>
    </message>
    <message>
        <source>this is not a regular file</source>
        <translation>dies ist keine gewöhnliche Datei</translation>
    </message>
    <message>
        <source>the file is too large: {} bytes are the most</source>
        <translation>die Datei ist zu groß: höchstens {} Bytes</translation>
    </message>
    <message>
        <source>the file cannot be given its name: {}</source>
        <translation>die Datei kann ihren Namen nicht bekommen: {}</translation>
    </message>
    <message>
        <source>it did not answer in time ({:g} s)</source>
        <translation>es hat nicht rechtzeitig geantwortet ({:g} s)</translation>
    </message>
    <message>
        <source>the plug-in host: {}</source>
        <translation>der Plug-in-Host: {}</translation>
    </message>
    <message>
        <source>what was written is not what was rendered, so that nothing was replaced: {}</source>
        <translation>was geschrieben wurde, ist nicht, was gerechnet wurde; es wurde nichts ersetzt: {}</translation>
    </message>
    <message>
        <source>its header says {} frames, {} were rendered</source>
        <translation>laut ihrem Kopf sind es {} Frames, gerechnet wurden {}</translation>
    </message>
    <message>
        <source>its level is another</source>
        <translation>ihr Pegel ist ein anderer</translation>
    </message>
    <message>
        <source>it has {} frames, {} were rendered</source>
        <translation>sie hat {} Frames, gerechnet wurden {}</translation>
    </message>
    <message>
        <source>its samples are others</source>
        <translation>ihre Samples sind andere</translation>
    </message>
    <message>
        <source>there is nothing to export: the range holds no samples</source>
        <translation>es gibt nichts auszugeben: im Bereich sind keine Samples</translation>
    </message>
    <message>
        <source>a time of the song is a number of seconds, from 0 on</source>
        <translation>eine Zeit im Stück ist eine Zahl von Sekunden, ab 0</translation>
    </message>
    <message>
        <source>{:g} s lies after the end of the song, which lasts {:.3f} s</source>
        <translation>{:g} s liegt hinter dem Ende des Stücks, das {:.3f} s dauert</translation>
    </message>
    <message>
        <source>the end must lie after the start</source>
        <translation>das Ende muss nach dem Anfang liegen</translation>
    </message>
    <message>
        <source>there is not one sample between these times</source>
        <translation>zwischen diesen Zeiten liegt kein einziges Sample</translation>
    </message>
    <message>
        <source>there is nothing to export: no mix is wanted, and no track is heard</source>
        <translation>es gibt nichts auszugeben: kein Mix ist verlangt, und keine Spur ist zu hören</translation>
    </message>
    <message>
        <source>the file exists already</source>
        <translation>die Datei gibt es schon</translation>
    </message>
    <message>
        <source>the file cannot be read</source>
        <translation>die Datei kann nicht gelesen werden</translation>
    </message>
    <message>
        <source>the file has {} channels; a measurement takes mono and stereo. In a session it can be folded or split</source>
        <translation>die Datei hat {} Kanäle; gemessen wird Mono und Stereo. In einer Sitzung kann sie gefaltet oder geteilt werden</translation>
    </message>
    <message>
        <source>line {}: {}</source>
        <translation>Zeile {}: {}</translation>
    </message>
    <message>
        <source>wanted are a frequency in Hz and a gain in dB</source>
        <translation>verlangt sind eine Frequenz in Hz und eine Verstärkung in dB</translation>
    </message>
    <message>
        <source>the frequency must be 10 to 40,000 Hz</source>
        <translation>die Frequenz muss zwischen 10 und 40 000 Hz liegen</translation>
    </message>
    <message>
        <source>the gain must be -24 to +24 dB</source>
        <translation>die Verstärkung muss zwischen -24 und +24 dB liegen</translation>
    </message>
    <message>
        <source>frequencies must rise</source>
        <translation>Frequenzen müssen steigen</translation>
    </message>
    <message>
        <source>there are more than 10,000 points</source>
        <translation>es sind mehr als 10 000 Punkte</translation>
    </message>
    <message>
        <source>no line with a frequency and a gain is in it</source>
        <translation>es steht keine Zeile mit Frequenz und Verstärkung darin</translation>
    </message>
    <message>
        <source>cancelled</source>
        <translation>abgebrochen</translation>
    </message>
    <message>
        <source>it cannot be read</source>
        <translation>sie kann nicht gelesen werden</translation>
    </message>
    <message>
        <source>reading it failed</source>
        <translation>das Lesen ist misslungen</translation>
    </message>
    <message>
        <source>it changed while it was copied</source>
        <translation>sie hat sich beim Kopieren geändert</translation>
    </message>
    <message>
        <source>it is no folder</source>
        <translation>es ist kein Ordner</translation>
    </message>
    <message>
        <source>the folder is not empty; a new one is needed</source>
        <translation>der Ordner ist nicht leer; es wird ein neuer gebraucht</translation>
    </message>
    <message>
        <source>{} cannot be read: {}</source>
        <translation>{} kann nicht gelesen werden: {}</translation>
    </message>
    <message>
        <source>{}: the JSON is broken at line {}, column {}</source>
        <translation>{}: das JSON ist in Zeile {}, Spalte {} beschädigt</translation>
    </message>
    <message>
        <source>{}: it holds a number that is too large</source>
        <translation>{}: eine Zahl darin ist zu groß</translation>
    </message>
    <message>
        <source>{}: it is nested too deeply</source>
        <translation>{}: sie ist zu tief verschachtelt</translation>
    </message>
    <message>
        <source>For a bus beside its rows: no bottom, 10:1 and 9 dB back, blended in by the bus&apos;s fader.</source>
        <translation>Für einen Bus neben seinen Zeilen: ohne Tiefen, 10:1 und 9 dB zurück, mit dem Fader des Busses beigemischt.</translation>
    </message>
    <message>
        <source>not a preset</source>
        <translation>keine Vorlage</translation>
    </message>
    <message>
        <source>this is no preset</source>
        <translation>dies ist keine Vorlage</translation>
    </message>
    <message>
        <source>this preset was written by a newer Isotonus</source>
        <translation>diese Vorlage hat ein neueres Isotonus geschrieben</translation>
    </message>
    <message>
        <source>the preset cannot be read: {}</source>
        <translation>die Vorlage kann nicht gelesen werden: {}</translation>
    </message>
    <message>
        <source>a preset needs a name</source>
        <translation>eine Vorlage braucht einen Namen</translation>
    </message>
    <message>
        <source>there is nothing in this chain to keep</source>
        <translation>in dieser Kette ist nichts, was zu behalten wäre</translation>
    </message>
    <message>
        <source>&apos;{}&apos; ships with Isotonus: choose another name</source>
        <translation>„{}“ gehört zu Isotonus: bitte einen anderen Namen wählen</translation>
    </message>
    <message>
        <source>there is no preset of yours called &apos;{}&apos;</source>
        <translation>es gibt keine eigene Vorlage „{}“</translation>
    </message>
    <message>
        <source>cannot be removed: {}</source>
        <translation>kann nicht entfernt werden: {}</translation>
    </message>
    <message>
        <source>line {}: &apos;seconds,value&apos; is wanted, not &apos;{}&apos;</source>
        <translation>Zeile {}: verlangt ist „seconds,value“, nicht „{}“</translation>
    </message>
    <message>
        <source>line {}: no point of a {} ride: {}</source>
        <translation>Zeile {}: kein Punkt einer Fahrt von {}: {}</translation>
    </message>
    <message>
        <source>line {}: {} points are the most</source>
        <translation>Zeile {}: höchstens {} Punkte</translation>
    </message>
    <message>
        <source>there are no points in it: lines of &apos;seconds,value&apos; are wanted</source>
        <translation>es sind keine Punkte darin: verlangt sind Zeilen „seconds,value“</translation>
    </message>
    <message>
        <source>only tracks and buses can send</source>
        <translation>nur Spuren und Busse können senden</translation>
    </message>
    <message>
        <source>there is no such bus to send to</source>
        <translation>einen solchen Bus zum Senden gibt es nicht</translation>
    </message>
    <message>
        <source>{} cannot send to {}: it would feed itself</source>
        <translation>{} kann nicht an {} senden: die Zeile würde sich selbst speisen</translation>
    </message>
    <message>
        <source>there is no such bus</source>
        <translation>einen solchen Bus gibt es nicht</translation>
    </message>
    <message>
        <source>{} cannot lead to {}: it would feed itself</source>
        <translation>{} kann nicht in {} führen: die Zeile würde sich selbst speisen</translation>
    </message>
    <message>
        <source>not a MIDI file</source>
        <translation>keine MIDI-Datei</translation>
    </message>
    <message>
        <source>the MIDI file ends early</source>
        <translation>die MIDI-Datei endet zu früh</translation>
    </message>
    <message>
        <source>MIDI files of format {} hold separate pieces and have no song to mark</source>
        <translation>MIDI-Dateien vom Format {} enthalten einzelne Stücke und haben kein Lied, das zu gliedern wäre</translation>
    </message>
    <message>
        <source>the MIDI file counts in frames of film, not in beats; its markers cannot be placed</source>
        <translation>die MIDI-Datei zählt in Filmbildern, nicht in Schlägen; ihre Marken haben keinen Platz</translation>
    </message>
    <message>
        <source>the MIDI file is broken or ends early</source>
        <translation>die MIDI-Datei ist beschädigt oder endet zu früh</translation>
    </message>
    <message>
        <source>the MIDI file has no markers and no tempo</source>
        <translation>die MIDI-Datei hat keine Marken und kein Tempo</translation>
    </message>
    <message>
        <source>the file has no cue points</source>
        <translation>die Datei hat keine Cue-Punkte</translation>
    </message>
    <message>
        <source>no audio files in this folder</source>
        <translation>keine Audiodateien in diesem Ordner</translation>
    </message>
    <message>
        <source>none of the audio files in this folder can be read</source>
        <translation>keine der Audiodateien in diesem Ordner kann gelesen werden</translation>
    </message>
    <message>
        <source>{} wants a number, not &apos;{}&apos;</source>
        <translation>{} verlangt eine Zahl, nicht „{}“</translation>
    </message>
    <message>
        <source>{} goes from {:g} to {:g}{}; {} is outside</source>
        <translation>{} geht von {:g} bis {:g}{}; {} liegt außerhalb</translation>
    </message>
    <message>
        <source>{} is {} or {}, not &apos;{}&apos;</source>
        <translation>{} ist {} oder {}, nicht „{}“</translation>
    </message>
    <message>
        <source>target is auto or MEASURE:LOW:HIGH (such as peak:-7:-5), not &apos;{}&apos;</source>
        <translation>target ist auto oder MEASURE:LOW:HIGH (etwa peak:-7:-5), nicht „{}“</translation>
    </message>
    <message>
        <source>target wants the lower level first</source>
        <translation>target verlangt den tieferen Pegel zuerst</translation>
    </message>
    <message>
        <source>staged_without is off or FROM-TO, in seconds of the song</source>
        <translation>staged_without ist off oder FROM-TO, in Sekunden des Stücks</translation>
    </message>
    <message>
        <source>staged_without wants the earlier time first</source>
        <translation>staged_without verlangt die frühere Zeit zuerst</translation>
    </message>
    <message>
        <source>kind is percussive, sustained or auto, not &apos;{}&apos;</source>
        <translation>kind ist percussive, sustained oder auto, nicht „{}“</translation>
    </message>
    <message>
        <source>&apos;{}&apos; is not a setting of a track (they are: trim fader pan width low_centre mute solo solo_safe polarity delay kind target staged_without)</source>
        <translation>„{}“ ist keine Einstellung einer Spur (es sind: trim fader pan width low_centre mute solo solo_safe polarity delay kind target staged_without)</translation>
    </message>
    <message>
        <source>&apos;{}&apos; is no pan law (constant_power, compromise, linear, balance)</source>
        <translation>„{}“ ist kein Panoramagesetz (constant_power, compromise, linear, balance)</translation>
    </message>
    <message>
        <source>&apos;{}&apos; is not a setting of the main output (it has: fader, pan_law)</source>
        <translation>„{}“ ist keine Einstellung der Summe (sie hat: fader, pan_law)</translation>
    </message>
    <message>
        <source>must be bytes in hexadecimal</source>
        <translation>muss aus hexadezimalen Bytes bestehen</translation>
    </message>
    <message>
        <source>cannot hold a zero</source>
        <translation>kann keine Null enthalten</translation>
    </message>
    <message>
        <source>is none of the words that are known</source>
        <translation>ist keines der bekannten Wörter</translation>
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
        <source>not a session file: &quot;format&quot; is not &quot;isotonus-session&quot;</source>
        <translation>keine Sitzungsdatei: „format“ ist nicht „isotonus-session“</translation>
    </message>
    <message>
        <source>the session&apos;s &quot;version&quot; is missing or not a whole number</source>
        <translation>„version“ der Sitzung fehlt oder ist keine ganze Zahl</translation>
    </message>
    <message>
        <source>this session was written by a newer Isotonus (version {}; this one reads up to {})</source>
        <translation>diese Sitzung hat ein neueres Isotonus geschrieben (Version {}; dieses liest bis {})</translation>
    </message>
    <message>
        <source>the session&apos;s &quot;version&quot; must be 1 or more</source>
        <translation>„version“ der Sitzung muss mindestens 1 sein</translation>
    </message>
    <message>
        <source>the session cannot be read: {}</source>
        <translation>die Sitzung kann nicht gelesen werden: {}</translation>
    </message>
    <message>
        <source>not a session file: the file is empty</source>
        <translation>keine Sitzungsdatei: die Datei ist leer</translation>
    </message>
    <message>
        <source>the session is not written, since it could not be read again: {}</source>
        <translation>die Sitzung wird nicht geschrieben, denn sie wäre nicht wieder zu lesen: {}</translation>
    </message>
    <message>
        <source>not a list of references</source>
        <translation>keine Liste von Referenzen</translation>
    </message>
    <message>
        <source>the list of references cannot be read: {}</source>
        <translation>die Liste der Referenzen kann nicht gelesen werden: {}</translation>
    </message>
    <message>
        <source>its folder cannot be made</source>
        <translation>ihr Ordner kann nicht angelegt werden</translation>
    </message>
    <message>
        <source>not a target sheet</source>
        <translation>kein Zielblatt</translation>
    </message>
    <message>
        <source>not a target sheet: &quot;format&quot; is not &quot;isotonus-target-sheet&quot;</source>
        <translation>kein Zielblatt: „format“ ist nicht „isotonus-target-sheet“</translation>
    </message>
    <message>
        <source>this target sheet was written by a newer Isotonus</source>
        <translation>dieses Zielblatt hat ein neueres Isotonus geschrieben</translation>
    </message>
    <message>
        <source>the target sheet cannot be read: {}</source>
        <translation>das Zielblatt kann nicht gelesen werden: {}</translation>
    </message>
    <message>
        <source>the file of the track &apos;{}&apos;</source>
        <translation>die Datei der Spur „{}“</translation>
    </message>
    <message>
        <source>the right side of the track &apos;{}&apos;</source>
        <translation>die rechte Seite der Spur „{}“</translation>
    </message>
    <message>
        <source>the room of &apos;{}&apos;</source>
        <translation>der Raum von „{}“</translation>
    </message>
    <message>
        <source>the reference &apos;{}&apos;</source>
        <translation>die Referenz „{}“</translation>
    </message>
    <message>
        <source>the print &apos;{}&apos;</source>
        <translation>der Abzug „{}“</translation>
    </message>
    <message>
        <source>the session as it was at the print &apos;{}&apos;</source>
        <translation>die Sitzung, wie sie beim Abzug „{}“ war</translation>
    </message>
    <message>
        <source>the session&apos;s own file</source>
        <translation>die Datei der Sitzung selbst</translation>
    </message>
    <message>
        <source>is before the point before it</source>
        <translation>liegt vor dem Punkt davor</translation>
    </message>
    <message>
        <source>is none that such a row can have</source>
        <translation>ist keine, die eine solche Zeile haben kann</translation>
    </message>
    <message>
        <source>is another processor&apos;s too</source>
        <translation>gehört auch einem anderen Prozessor</translation>
    </message>
    <message>
        <source>is none of its parameters</source>
        <translation>ist keiner seiner Parameter</translation>
    </message>
    <message>
        <source>is a ride of a processor that is not there</source>
        <translation>ist eine Fahrt eines Prozessors, den es nicht gibt</translation>
    </message>
    <message>
        <source>is another send&apos;s too</source>
        <translation>gehört auch einem anderen Send</translation>
    </message>
    <message>
        <source>is where another send leads too</source>
        <translation>ist auch das Ziel eines anderen Sends</translation>
    </message>
    <message>
        <source>is a ride of a send that is not there</source>
        <translation>ist eine Fahrt eines Sends, den es nicht gibt</translation>
    </message>
    <message>
        <source>ends too late</source>
        <translation>endet zu spät</translation>
    </message>
    <message>
        <source>belongs to another row too</source>
        <translation>gehört auch einer anderen Zeile</translation>
    </message>
    <message>
        <source>is one that was not given yet</source>
        <translation>wurde noch nicht vergeben</translation>
    </message>
    <message>
        <source>leads to no bus</source>
        <translation>führt in keinen Bus</translation>
    </message>
    <message>
        <source>leads in a circle</source>
        <translation>führt im Kreis</translation>
    </message>
    <message>
        <source>listens to</source>
        <translation>hört auf</translation>
    </message>
    <message>
        <source>is fed by</source>
        <translation>wird gespeist von</translation>
    </message>
    <message>
        <source>makes a circle: the row would listen to itself, by way of what it listens to ({})</source>
        <translation>schließt einen Kreis: die Zeile würde über das, worauf sie hört, auf sich selbst hören ({})</translation>
    </message>
    <message>
        <source>makes a ring: {}</source>
        <translation>schließt einen Ring: {}</translation>
    </message>
    <message>
        <source>is before the section before it</source>
        <translation>liegt vor dem Abschnitt davor</translation>
    </message>
    <message>
        <source>is before the mark before it</source>
        <translation>liegt vor der Marke davor</translation>
    </message>
    <message>
        <source>is before the note before it</source>
        <translation>liegt vor der Notiz davor</translation>
    </message>
    <message>
        <source>must count every version once</source>
        <translation>muss jede Fassung einmal zählen</translation>
    </message>
    <message>
        <source>there is no processor at this place</source>
        <translation>an dieser Stelle ist kein Prozessor</translation>
    </message>
    <message>
        <source>&apos;{}&apos; has no threshold from which it turns down</source>
        <translation>„{}“ hat keine Schwelle, ab der er leiser macht</translation>
    </message>
    <message>
        <source>an impulse response has 1, 2 or 4 channels, this file has {}</source>
        <translation>eine Impulsantwort hat 1, 2 oder 4 Kanäle, diese Datei hat {}</translation>
    </message>
    <message>
        <source>there is nothing to be heard in this impulse response</source>
        <translation>in dieser Impulsantwort ist nichts zu hören</translation>
    </message>
    <message>
        <source>this processor turns nothing down</source>
        <translation>dieser Prozessor macht nichts leiser</translation>
    </message>
    <message>
        <source>there is no such device</source>
        <translation>ein solches Gerät gibt es nicht</translation>
    </message>
    <message>
        <source>the MIDI device cannot be opened: another program has it</source>
        <translation>das MIDI-Gerät kann nicht geöffnet werden: ein anderes Programm hat es</translation>
    </message>
    <message>
        <source>there is no MIDI device of this name</source>
        <translation>ein MIDI-Gerät dieses Namens gibt es nicht</translation>
    </message>
    <message>
        <source>there is no MIDI system on this machine: neither ALSA&apos;s sequencer nor a JACK server</source>
        <translation>auf diesem Rechner gibt es kein MIDI: weder den Sequenzer von ALSA noch einen JACK-Server</translation>
    </message>
    <message>
        <source>of this print no session was kept; it was made by an older version, or elsewhere</source>
        <translation>zu diesem Abzug wurde keine Sitzung behalten; er stammt von einer älteren Fassung oder von anderswo</translation>
    </message>
    <message>
        <source>another program has changed the file</source>
        <translation>ein anderes Programm hat die Datei geändert</translation>
    </message>
    <message>
        <source>it cannot be taken in</source>
        <translation>sie kann nicht übernommen werden</translation>
    </message>
    <message>
        <source>the sample rate cannot be converted: {}</source>
        <translation>die Abtastrate kann nicht umgewandelt werden: {}</translation>
    </message>
    <message>
        <source>the file is empty</source>
        <translation>die Datei ist leer</translation>
    </message>
    <message>
        <source>not an audio file that can be read ({})</source>
        <translation>keine Audiodatei, die gelesen werden kann ({})</translation>
    </message>
    <message>
        <source>the file has {} channels; {} are the most that can be used</source>
        <translation>die Datei hat {} Kanäle; höchstens {} sind zu gebrauchen</translation>
    </message>
    <message>
        <source>the file holds no samples</source>
        <translation>in der Datei sind keine Samples</translation>
    </message>
    <message>
        <source>a sample rate of {} Hz cannot be used</source>
        <translation>eine Abtastrate von {} Hz ist nicht zu gebrauchen</translation>
    </message>
    <message>
        <source>frame {} cannot be reached</source>
        <translation>Frame {} ist nicht zu erreichen</translation>
    </message>
    <message>
        <source>reading stopped at frame {} of {}</source>
        <translation>das Lesen brach bei Frame {} von {} ab</translation>
    </message>
    <message>
        <source>FLAC holds 16 or 24 bit, no floating point</source>
        <translation>FLAC fasst 16 oder 24 Bit, kein Gleitkomma</translation>
    </message>
    <message>
        <source>a {} file cannot hold {} channels at {} Hz</source>
        <translation>eine Datei vom Typ {} fasst keine {} Kanäle bei {} Hz</translation>
    </message>
    <message>
        <source>the file cannot be written: {}</source>
        <translation>die Datei kann nicht geschrieben werden: {}</translation>
    </message>
    <message>
        <source>writing failed: {}</source>
        <translation>das Schreiben ist misslungen: {}</translation>
    </message>
    <message>
        <source>the file changed while it was in use</source>
        <translation>die Datei hat sich geändert, während sie gebraucht wurde</translation>
    </message>
    <message>
        <source>the file cannot be opened: {}</source>
        <translation>die Datei kann nicht geöffnet werden: {}</translation>
    </message>
    <message>
        <source>the file cannot be locked: {}</source>
        <translation>die Datei kann nicht gesperrt werden: {}</translation>
    </message>
    <message>
        <source>another program is changing the file</source>
        <translation>ein anderes Programm ändert die Datei gerade</translation>
    </message>
    <message>
        <source>a file&apos;s name is wanted</source>
        <translation>verlangt ist der Name einer Datei</translation>
    </message>
    <message>
        <source>the name is too long: a file&apos;s name has 255 bytes at most</source>
        <translation>der Name ist zu lang: der Name einer Datei hat höchstens 255 Bytes</translation>
    </message>
    <message>
        <source>the file cannot be written: a link leads nowhere</source>
        <translation>die Datei kann nicht geschrieben werden: eine Verknüpfung führt ins Leere</translation>
    </message>
    <message>
        <source>a folder of this name is in the way</source>
        <translation>ein Ordner dieses Namens ist im Weg</translation>
    </message>
    <message>
        <source>this is not a regular file; it is not written over</source>
        <translation>dies ist keine gewöhnliche Datei; sie wird nicht überschrieben</translation>
    </message>
    <message>
        <source>the file is read-only; it is not written over</source>
        <translation>die Datei ist schreibgeschützt; sie wird nicht überschrieben</translation>
    </message>
    <message>
        <source>the file cannot be written: there is no such folder</source>
        <translation>die Datei kann nicht geschrieben werden: den Ordner gibt es nicht</translation>
    </message>
    <message>
        <source>the file cannot be reached: {}</source>
        <translation>die Datei ist nicht zu erreichen: {}</translation>
    </message>
    <message>
        <source>this is {}; it is not written over</source>
        <translation>dies ist {}; nichts davon wird überschrieben</translation>
    </message>
    <message>
        <source>the plug-in host is missing</source>
        <translation>der Plug-in-Host fehlt</translation>
    </message>
    <message>
        <source>there is no memory for a plug-in</source>
        <translation>für ein Plug-in ist kein Speicher da</translation>
    </message>
    <message>
        <source>the plug-in host cannot be started: {}</source>
        <translation>der Plug-in-Host kann nicht gestartet werden: {}</translation>
    </message>
    <message>
        <source>it crashed ({})</source>
        <translation>es ist abgestürzt ({})</translation>
    </message>
    <message>
        <source>it ended by itself</source>
        <translation>es hat von selbst geendet</translation>
    </message>
    <message>
        <source>it has ended</source>
        <translation>es hat geendet</translation>
    </message>
    <message>
        <source>it did not answer in time ({} s)</source>
        <translation>es hat nicht rechtzeitig geantwortet ({} s)</translation>
    </message>
    <message>
        <source>it has too many parameters</source>
        <translation>es hat zu viele Parameter</translation>
    </message>
    <message>
        <source>it names a latency that cannot be</source>
        <translation>es nennt eine Latenz, die es nicht geben kann</translation>
    </message>
    <message>
        <source>it changes its latency while it runs</source>
        <translation>es ändert seine Latenz, während es läuft</translation>
    </message>
    <message>
        <source>what comes out of it is no number</source>
        <translation>was herauskommt, ist keine Zahl</translation>
    </message>
    <message>
        <source>it crashed</source>
        <translation>es ist abgestürzt</translation>
    </message>
    <message>
        <source>it did not answer in time</source>
        <translation>es hat nicht rechtzeitig geantwortet</translation>
    </message>
    <message>
        <source>it requires what is not here</source>
        <translation>es verlangt, was hier nicht da ist</translation>
    </message>
    <message>
        <source>the plug-in host cannot be started</source>
        <translation>der Plug-in-Host kann nicht gestartet werden</translation>
    </message>
    <message>
        <source>it ended the program</source>
        <translation>es hat das Programm beendet</translation>
    </message>
    <message>
        <source>there is not enough memory</source>
        <translation>der Speicher reicht nicht</translation>
    </message>
    <message>
        <source>-inf dB</source>
        <translation>-inf dB</translation>
    </message>
    <message>
        <source>{} {}, was {}</source>
        <translation>{} {}, war {}</translation>
    </message>
    <message>
        <source>{} is gone</source>
        <translation>{} ist weg</translation>
    </message>
    <message>
        <source>{} is in</source>
        <translation>{} ist ein</translation>
    </message>
    <message>
        <source>{} is out</source>
        <translation>{} ist aus</translation>
    </message>
    <message>
        <source>{} listens to {}</source>
        <translation>{} hört auf {}</translation>
    </message>
    <message>
        <source>its own row</source>
        <translation>die eigene Zeile</translation>
    </message>
    <message>
        <source>{} has another room</source>
        <translation>{} hat einen anderen Raum</translation>
    </message>
    <message>
        <source>{} is matched otherwise while it is out</source>
        <translation>{} ist anders angeglichen, während er aus ist</translation>
    </message>
    <message>
        <source>{} is now {}</source>
        <translation>{} ist jetzt {}</translation>
    </message>
    <message>
        <source>{}: {} {}, was {}</source>
        <translation>{}: {} {}, war {}</translation>
    </message>
    <message>
        <source>{} is new</source>
        <translation>{} ist neu</translation>
    </message>
    <message>
        <source>its processors stand in another order</source>
        <translation>ihre Prozessoren stehen in anderer Reihenfolge</translation>
    </message>
    <message>
        <source>the send to {} is gone</source>
        <translation>der Send nach {} ist weg</translation>
    </message>
    <message>
        <source>send to {}</source>
        <translation>Send nach {}</translation>
    </message>
    <message>
        <source>the send to {} is in</source>
        <translation>der Send nach {} ist ein</translation>
    </message>
    <message>
        <source>the send to {} is out</source>
        <translation>der Send nach {} ist aus</translation>
    </message>
    <message>
        <source>the send to {} is taken before the fader</source>
        <translation>der Send nach {} wird vor dem Fader genommen</translation>
    </message>
    <message>
        <source>the send to {} is taken after the fader</source>
        <translation>der Send nach {} wird nach dem Fader genommen</translation>
    </message>
    <message>
        <source>the send to {} is placed otherwise</source>
        <translation>der Send nach {} ist anders platziert</translation>
    </message>
    <message>
        <source>a send to {} is new</source>
        <translation>ein Send nach {} ist neu</translation>
    </message>
    <message>
        <source>its rides are out</source>
        <translation>ihre Fahrten sind aus</translation>
    </message>
    <message>
        <source>its rides are in</source>
        <translation>ihre Fahrten sind ein</translation>
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
        <source>the ride of {} is new</source>
        <translation>die Fahrt von {} ist neu</translation>
    </message>
    <message>
        <source>the ride of {} is gone</source>
        <translation>die Fahrt von {} ist weg</translation>
    </message>
    <message>
        <source>the ride of {} has changed</source>
        <translation>die Fahrt von {} hat sich geändert</translation>
    </message>
    <message>
        <source>the ride of {} is out</source>
        <translation>die Fahrt von {} ist aus</translation>
    </message>
    <message>
        <source>the ride of {} is in</source>
        <translation>die Fahrt von {} ist ein</translation>
    </message>
    <message>
        <source>leads to</source>
        <translation>führt nach</translation>
    </message>
    <message>
        <source>was not there</source>
        <translation>war nicht da</translation>
    </message>
    <message>
        <source>is no longer there</source>
        <translation>ist nicht mehr da</translation>
    </message>
    <message>
        <source>must not lie above high_dbfs</source>
        <translation>darf nicht über high_dbfs liegen</translation>
    </message>
    <message>
        <source>must be 0, or 40 and more</source>
        <translation>muss 0 sein oder mindestens 40</translation>
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
        <source>must be there with song_from_s, or neither</source>
        <translation>muss mit song_from_s da sein, oder keines von beiden</translation>
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
        <source>must lie between {:g} and {:g}</source>
        <translation>muss zwischen {:g} und {:g} liegen</translation>
    </message>
    <message>
        <source>must be a whole number</source>
        <translation>muss eine ganze Zahl sein</translation>
    </message>
    <message>
        <source>must lie between {} and {}</source>
        <translation>muss zwischen {} und {} liegen</translation>
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
        <source>has more than {} items</source>
        <translation>hat mehr als {} Einträge</translation>
    </message>
    <message>
        <source>session</source>
        <translation>Sitzung</translation>
    </message>
    <message>
        <source>the folder for unsaved work cannot be written</source>
        <translation>in den Ordner für Ungesichertes kann nicht geschrieben werden</translation>
    </message>
    <message>
        <source>must lie between {:g} and {:g}; {:g} does not</source>
        <translation>muss zwischen {:g} und {:g} liegen; {:g} tut es nicht</translation>
    </message>
    <message>
        <source>must lie between {} and {}; {} does not</source>
        <translation>muss zwischen {} und {} liegen; {} tut es nicht</translation>
    </message>
    <message>
        <source>is no text in UTF-8</source>
        <translation>ist kein Text in UTF-8</translation>
    </message>
    <message>
        <source>are {}; {} are the most</source>
        <translation>sind {}; höchstens {}</translation>
    </message>
    <message>
        <source>what was kept there cannot be read again</source>
        <translation>was dort behalten wurde, ist nicht wieder zu lesen</translation>
    </message>
    <message>
        <source>it is silent</source>
        <translation>sie ist still</translation>
    </message>
    <message>
        <source>it wants a trim of {:+.1f} dB, and a trim goes to +/-{:.0f} dB</source>
        <translation>sie verlangt einen Trim von {:+.1f} dB, und ein Trim geht bis +/-{:.0f} dB</translation>
    </message>
    <message>
        <source>its peak would stand at {:.1f} dBFS, above the ceiling of {:.1f} dBFS</source>
        <translation>ihre Spitze stünde bei {:.1f} dBFS, über der Decke von {:.1f} dBFS</translation>
    </message>
    <message>
        <source>the audio server does not answer</source>
        <translation>der Audioserver antwortet nicht</translation>
    </message>
    <message>
        <source>the device is not there</source>
        <translation>das Gerät ist nicht da</translation>
    </message>
    <message>
        <source>The device &apos;{}&apos; has vanished. The simulated device keeps time; the position and the session are kept.</source>
        <translation>Das Gerät „{}“ ist verschwunden. Das simulierte Gerät hält die Zeit; Stelle und Sitzung bleiben.</translation>
    </message>
    <message>
        <source>it was not started</source>
        <translation>es wurde nicht gestartet</translation>
    </message>
    <message>
        <source>it has a port of a kind that is not known here</source>
        <translation>es hat einen Anschluss einer Art, die hier nicht bekannt ist</translation>
    </message>
    <message>
        <source>it is no effect on one or two channels</source>
        <translation>es ist kein Effekt für einen oder zwei Kanäle</translation>
    </message>
    <message>
        <source>it cannot be started</source>
        <translation>es kann nicht gestartet werden</translation>
    </message>
    <message>
        <source>it takes {:.1f} GiB, and the disk has {:.1f} GiB left; free some room</source>
        <translation>sie braucht {:.1f} GiB, und auf der Platte sind noch {:.1f} GiB frei; schaffe Platz</translation>
    </message>
    <message>
        <source>the file changed while it was read</source>
        <translation>die Datei wurde geändert, während sie gelesen wurde</translation>
    </message>
    <message>
        <source>the cache has no room for it</source>
        <translation>im Cache ist dafür kein Platz</translation>
    </message>
    <message>
        <source>the file cannot be given its name: {}. These stand under their names already, whole and new, and could not be taken back: {}</source>
        <translation>die Datei kann ihren Namen nicht bekommen: {}. Diese stehen schon unter ihrem Namen, ganz und neu, und ließen sich nicht zurücknehmen: {}</translation>
    </message>
    <message>
        <source>nothing can be written there: {}</source>
        <translation>dort kann nichts geschrieben werden: {}</translation>
    </message>
    <message>
        <source>this system does not let the plug-in host give up its rights</source>
        <translation>dieses System lässt den Plug-in-Host seine Rechte nicht abgeben</translation>
    </message>
    <message>
        <source>it lies in {} and was never looked at; look for plug-ins to let it run</source>
        <translation>es liegt in {} und wurde nie geprüft; suche nach Plug-ins, damit es laufen darf</translation>
    </message>
    <message>
        <source>processors that cannot run</source>
        <translation>Effekte, die nicht laufen können</translation>
    </message>
    <message>
        <source>every processor can run</source>
        <translation>jeder Effekt kann laufen</translation>
    </message>
    <message>
        <source>nothing of the main output is exported but its fader</source>
        <translation>von der Summe wird nur ihr Fader exportiert</translation>
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
        <source>the mix peaks at {} dBFS, and {} holds nothing above full scale: its peaks will be clipped; turn the main fader down by {:.1f} dB</source>
        <translation>der Mix hat Spitzen bis {} dBFS, und {} fasst nichts über Vollaussteuerung: die Spitzen werden abgeschnitten; nimm den Summenfader um {:.1f} dB zurück</translation>
    </message>
    <message>
        <source>this version of Isotonus does not know it</source>
        <translation>diese Version von Isotonus kennt ihn nicht</translation>
    </message>
    <message>
        <source>&apos;{}&apos; cannot run in &apos;{}&apos;: {}</source>
        <translation>„{}“ kann in „{}“ nicht laufen: {}</translation>
    </message>
    <message>
        <source>the file changed after it was measured; try again</source>
        <translation>die Datei wurde nach dem Messen geändert; versuche es noch einmal</translation>
    </message>
    <message>
        <source>&apos;{}&apos; changed after its sound was made; try again</source>
        <translation>„{}“ wurde geändert, nachdem der Klang berechnet war; versuche es noch einmal</translation>
    </message>
    <message>
        <source>what a chain is made of changed after its sound was made; try again</source>
        <translation>woraus eine Kette besteht, wurde geändert, nachdem ihr Klang berechnet war; versuche es noch einmal</translation>
    </message>
    <message>
        <source>{}: it holds a list with too many items</source>
        <translation>{}: eine Liste darin hat zu viele Einträge</translation>
    </message>
    <message>
        <source>&apos;{}&apos; of &apos;{}&apos; had &apos;{}&apos; as its sidechain source; it is bypassed now</source>
        <translation>„{}“ von „{}“ hatte „{}“ als Sidechain-Quelle und ist jetzt umgangen</translation>
    </message>
    <message>
        <source>the session is not written, since it would be too large to be read again: simplify its longest rides</source>
        <translation>die Session wird nicht geschrieben, weil sie zu groß wäre, um wieder gelesen zu werden: vereinfache ihre längsten Fahrten</translation>
    </message>
    <message>
        <source>it crashed more than once</source>
        <translation>es ist mehr als einmal abgestürzt</translation>
    </message>
    <message>
        <source>the disk is full: there is no room for what a plug-in makes</source>
        <translation>die Platte ist voll: für den Klang eines Plug-ins ist kein Platz</translation>
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
        <source>named {}</source>
        <translation>Name „{}“</translation>
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
        <source>For a bus beside its rows: no lows, 8:1 with an attack of 10 ms, so that the hits pass.</source>
        <translation>Für einen Bus neben seinen Zeilen: ohne Tiefen, 8:1 mit 10 ms Attack, damit die Schläge durchkommen.</translation>
    </message>
    <message>
        <source>A compressor of the band above 5 kHz: sharp sounds are turned down, the rest of the voice is not.</source>
        <translation>Ein Kompressor für das Band über 5 kHz: scharfe Laute werden leiser, der Rest der Stimme nicht.</translation>
    </message>
    <message>
        <source>Bass below the kick</source>
        <translation>Bass unter der Kick</translation>
    </message>
    <message>
        <source>A compressor of the band below 120 Hz: choose the kick as its sidechain source, and only the bottom of the bass makes way.</source>
        <translation>Ein Kompressor für das Band unter 120 Hz: Mit der Kick als Sidechain-Quelle macht nur der unterste Bereich des Basses Platz.</translation>
    </message>
    <message>
        <source>&apos;{}&apos; is not a tempo: write 120 or 97.5 6/8, from 10 to 1000 quarters a minute</source>
        <translation>„{}“ ist kein Tempo: 120 oder 97,5 6/8 schreiben, von 10 bis 1000 Viertel in der Minute</translation>
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
        <translation>Duck-Schwelle</translation>
    </message>
</context>
<context>
    <name>isotonus::Advisor</name>
    <message>
        <source>Listening to the whole song…</source>
        <translation>Der ganze Song wird angehört…</translation>
    </message>
    <message>
        <source>Listening to what that brought…</source>
        <translation>Was das gebracht hat, wird angehört…</translation>
    </message>
    <message>
        <source>%1 % of %2 is heard now; it was %3 %, and %4 % was expected.</source>
        <translation>%1 % von %2 sind jetzt zu hören; es waren %3 %, erwartet wurden %4 %.</translation>
    </message>
    <message>
        <source>Low cut as advised</source>
        <translation>Low Cut wie geraten</translation>
    </message>
    <message>
        <source>%1: nothing below its body asks for one</source>
        <translation>%1: unter dem Körper verlangt nichts einen</translation>
    </message>
    <message>
        <source>%1: a low cut at %2 takes %3 dB away</source>
        <translation>%1: ein Low Cut bei %2 nimmt %3 dB weg</translation>
    </message>
    <message>
        <source>Cuts where it rings</source>
        <translation>Schnitte, wo es klingelt</translation>
    </message>
    <message>
        <source>Nothing stands out for long.</source>
        <translation>Nichts sticht lange heraus.</translation>
    </message>
    <message>
        <source>Stands out for long: %1. Narrow cuts there.</source>
        <translation>Sticht lange heraus: %1. Dort schmale Schnitte.</translation>
    </message>
    <message>
        <source>The chain is still being worked out; ask again in a moment.</source>
        <translation>Die Kette wird noch gerechnet; frage gleich noch einmal.</translation>
    </message>
    <message>
        <source>Threshold for the reduction wanted</source>
        <translation>Schwelle für die gewünschte Reduktion</translation>
    </message>
    <message>
        <source>Threshold %1: most %2 dB at %3, %4 dB while it works%5.</source>
        <translation>Schwelle %1: höchstens %2 dB bei %3, %4 dB während sie arbeitet%5.</translation>
    </message>
    <message>
        <source>; that is as near as it comes</source>
        <translation>; näher kommt man nicht heran</translation>
    </message>
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
        <source>Make way for %1</source>
        <translation>Platz machen für %1</translation>
    </message>
    <message>
        <source>%1 is not struck anywhere.</source>
        <translation>%1 wird nirgends angeschlagen.</translation>
    </message>
    <message numerus="yes">
        <source>At the %n hit(s) of %1 its lows stand %2 against it</source>
        <translation>
            <numerusform>Beim %n Schlag von %1 stehen die Tiefen %2 dagegen</numerusform>
            <numerusform>Bei den %n Schlägen von %1 stehen die Tiefen %2 dagegen</numerusform>
        </translation>
    </message>
    <message>
        <source>%1: nothing to make way for.</source>
        <translation>%1: nichts, dem Platz zu machen wäre.</translation>
    </message>
    <message>
        <source>%1: %2 dB down for %3 ms, back in %4 ms.</source>
        <translation>%1: %2 dB tiefer für %3 ms, zurück in %4 ms.</translation>
    </message>
    <message>
        <source>What covers %1 stands in the picture; point at it.</source>
        <translation>Was %1 verdeckt, steht im Bild; zeige darauf.</translation>
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
        <source>%1 is strongest at %2; no narrow cut in the others brings more of it.</source>
        <translation>%1 ist bei %2 am stärksten; keine schmale Absenkung in den anderen bringt mehr davon.</translation>
    </message>
    <message>
        <source>%1 of %2 out of the others</source>
        <translation>%1 von %2 aus den anderen nehmen</translation>
    </message>
    <message>
        <source>%1 is strongest at %2. Narrow cuts there (%3): %4 % of the sound around it is %1&apos;s then, %5 % now.</source>
        <translation>%1 ist bei %2 am stärksten. Mit schmalen Absenkungen dort (%3) stammen %4 % des Klangs um diese Frequenz von %1, jetzt sind es %5 %.</translation>
    </message>
</context>
<context>
    <name>isotonus::Audition</name>
    <message>
        <source>%1 alone, from %2. Space stops; then the mix is heard again.</source>
        <translation>%1 allein, ab %2. Leertaste hält an; danach ist wieder der Mix zu hören.</translation>
    </message>
    <message>
        <source>%1 below %2 Hz alone, as it is kept in the centre. Space stops; then the mix is heard again.</source>
        <translation>%1 unter %2 Hz allein, wie es in der Mitte gehalten wird. Leertaste hält an; danach ist wieder der Mix zu hören.</translation>
    </message>
    <message>
        <source>The song is too short or too quiet for that: a passage has 8 s.</source>
        <translation>Dafür ist der Song zu kurz oder zu leise: eine Passage hat 8 s.</translation>
    </message>
    <message>
        <source>Looping the widest passage: %1 LU between its quietest and loudest 3 s.</source>
        <translation>Loop über die weiteste Passage: %1 LU zwischen ihren leisesten und lautesten 3 s.</translation>
    </message>
    <message>
        <source>Looping the loudest passage: its loudest 8 s stand at %1.</source>
        <translation>Loop über die lauteste Passage: ihre lautesten 8 s stehen bei %1.</translation>
    </message>
</context>
<context>
    <name>isotonus::BalanceLane</name>
    <message>
        <source>%1: fader %2, pan %3</source>
        <translation>%1: Fader %2, Pan %3</translation>
    </message>
    <message>
        <source>, to %1</source>
        <translation>, nach %1</translation>
    </message>
    <message>
        <source>; highest heard %1</source>
        <translation>; höchste gehörte %1</translation>
    </message>
    <message>
        <source>; %1 % of its bands are heard, %2 % when quiet</source>
        <translation>; %1 % seiner Bänder sind zu hören, %2 % wenn leise</translation>
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
        <translation>Pan</translation>
    </message>
    <message>
        <source>%1 %2 %3</source>
        <translation>%1 %2 %3</translation>
    </message>
    <message>
        <source>%1 %2 tracks at %3</source>
        <translation>%1 von %2 Spuren auf %3</translation>
    </message>
    <message>
        <source>%1 %2 tracks %3</source>
        <translation>%1 von %2 Spuren %3</translation>
    </message>
    <message>
        <source>%1 %2 tracks</source>
        <translation>%1 von %2 Spuren</translation>
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
        <source>Faders of %1 tracks for a peak of %2</source>
        <translation>Fader von %1 Spuren für eine Spitze von %2</translation>
    </message>
    <message>
        <source>%1 %</source>
        <translation>%1 %</translation>
    </message>
    <message>
        <source> (its ride adds %1 here)</source>
        <translation> (die Fahrt gibt hier %1 dazu)</translation>
    </message>
    <message>
        <source>; whole-song peak after the fader, before the pan %1</source>
        <translation>; Spitze des ganzen Songs nach dem Fader, vor dem Panorama %1</translation>
    </message>
</context>
<context>
    <name>isotonus::BalancePanel</name>
    <message>
        <source>headroom plan</source>
        <translation>Reserveplan</translation>
    </message>
    <message>
        <source>build-up</source>
        <translation>Aufbau</translation>
    </message>
    <message>
        <source>what covers this row</source>
        <translation>was diese Zeile verdeckt</translation>
    </message>
    <message>
        <source>loss in mono</source>
        <translation>Verlust in Mono</translation>
    </message>
    <message>
        <source>stereo picture</source>
        <translation>Stereobild</translation>
    </message>
</context>
<context>
    <name>isotonus::BlindPage</name>
    <message>
        <source>Rounds</source>
        <translation>Runden</translation>
    </message>
    <message>
        <source> rounds</source>
        <translation> Runden</translation>
    </message>
    <message>
        <source>Begin</source>
        <translation>Beginnen</translation>
    </message>
    <message>
        <source>The versions are shuffled in every round, at one loudness.</source>
        <translation>Die Fassungen werden in jeder Runde gemischt, bei gleicher Lautheit.</translation>
    </message>
    <message>
        <source>Break off</source>
        <translation>Abbrechen</translation>
    </message>
    <message>
        <source>Nothing is kept of it.</source>
        <translation>Nichts davon bleibt.</translation>
    </message>
    <message>
        <source>Hear %1</source>
        <translation>%1 hören</translation>
    </message>
    <message>
        <source>In step with the song.</source>
        <translation>Im Gleichschritt mit dem Song.</translation>
    </message>
    <message>
        <source>%1 is the best</source>
        <translation>%1 ist die beste</translation>
    </message>
    <message>
        <source>On to the next round.</source>
        <translation>Weiter zur nächsten Runde.</translation>
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
        <source>Round %1 of %2: hear them as often as you like, then say which is the best. Names are hidden meanwhile; look away from the meters.</source>
        <translation>Runde %1 von %2: höre sie so oft du willst, dann sage, welche die beste ist. Namen sind so lange verdeckt; schau nicht auf die Meter.</translation>
    </message>
    <message>
        <source>Choose one or two recordings below; the mix is always among the versions.</source>
        <translation>Wähle unten eine oder zwei Aufnahmen; der Mix ist immer unter den Fassungen.</translation>
    </message>
    <message>
        <source>%1, shuffled under letters in each round and matched in loudness.</source>
        <translation>%1, in jeder Runde unter Buchstaben gemischt und in der Lautheit angeglichen.</translation>
    </message>
    <message>
        <source> against </source>
        <translation> gegen </translation>
    </message>
    <message>
        <source>%1: %2</source>
        <translation>%1: %2</translation>
    </message>
    <message numerus="yes">
        <source>%1, %n round(s): %2. By chance alone one version is chosen that often in %3 % of such comparisons%4</source>
        <translation>
            <numerusform>%1, %n Runde: %2. Durch Zufall allein wird eine Fassung in %3 % solcher Vergleiche so oft gewählt%4</numerusform>
            <numerusform>%1, %n Runden: %2. Durch Zufall allein wird eine Fassung in %3 % solcher Vergleiche so oft gewählt%4</numerusform>
        </translation>
    </message>
    <message>
        <source>: the difference was heard.</source>
        <translation>: der Unterschied war zu hören.</translation>
    </message>
    <message>
        <source>: it says little.</source>
        <translation>: das sagt wenig.</translation>
    </message>
</context>
<context>
    <name>isotonus::BuildUpPage</name>
    <message>
        <source>Order of the build-up</source>
        <translation>Reihenfolge des Aufbaus</translation>
    </message>
    <message>
        <source>beat: kick, bass, snare, hats, melody, the rest</source>
        <translation>Beat: Kick, Bass, Snare, Hats, Melodie, der Rest</translation>
    </message>
    <message>
        <source>band: kit, bass, keys and guitars, voices</source>
        <translation>Band: Schlagzeug, Bass, Tasten und Gitarren, Stimmen</translation>
    </message>
    <message>
        <source>anchors first</source>
        <translation>Anker zuerst</translation>
    </message>
    <message>
        <source>from silence, row by row</source>
        <translation>aus der Stille, Zeile für Zeile</translation>
    </message>
    <message>
        <source>own: the selected rows first</source>
        <translation>eigene: die gewählten Zeilen zuerst</translation>
    </message>
    <message>
        <source>Mute everything and begin</source>
        <translation>Alles stumm und beginnen</translation>
    </message>
    <message>
        <source>Or all at their suggested levels</source>
        <translation>Oder alle auf ihre Vorschläge</translation>
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
        <source>Take the suggested level</source>
        <translation>Vorgeschlagenen Pegel nehmen</translation>
    </message>
    <message>
        <source>Leave</source>
        <translation>Verlassen</translation>
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
        <source>Everything is muted; each step brings one track in. What is set stays, and it can be left at any time.</source>
        <translation>Alles ist stumm; jeder Schritt holt eine Spur dazu. Was gestellt ist, bleibt, und man kann jederzeit aufhören.</translation>
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
        <source>Raise it from silence until it is just heard. Around %1 is where it often ends.</source>
        <translation>Hole sie aus der Stille, bis sie gerade zu hören ist. Oft endet sie um %1.</translation>
    </message>
    <message>
        <source>An anchor: loud and clear of the others. Start at %1.</source>
        <translation>Ein Anker: laut und frei von den anderen. Beginne bei %1.</translation>
    </message>
    <message>
        <source>Against the anchors, %1 is a place to start from; then by ear.</source>
        <translation>Gegen die Anker ist %1 ein Anfang; dann nach Gehör.</translation>
    </message>
    <message>
        <source>The whole song peaks at %1: %2 above its window.</source>
        <translation>Der ganze Song hat eine Spitze von %1: %2 über dem Fenster.</translation>
    </message>
    <message>
        <source>The whole song peaks at %1: %2 of room.</source>
        <translation>Der ganze Song hat eine Spitze von %1: %2 Platz.</translation>
    </message>
    <message>
        <source>Nothing is heard yet.</source>
        <translation>Noch ist nichts zu hören.</translation>
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
        <source>hear</source>
        <translation>hören</translation>
    </message>
    <message>
        <source>Hear these rows alone, and back; the settings say whether the rest is silent or dimmed. Nothing of it reaches an export.</source>
        <translation>Diese Zeilen allein hören, und zurück; die Einstellungen sagen, ob der Rest still oder gedämpft ist. Nichts davon gelangt in einen Export.</translation>
    </message>
    <message>
        <source>(Shift+F%1)</source>
        <translation>(Shift+F%1)</translation>
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
        <source>all of the mix</source>
        <translation>der ganze Mix</translation>
    </message>
    <message numerus="yes">
        <source>return of %n row(s)</source>
        <translation>
            <numerusform>Return von %n Zeile</numerusform>
            <numerusform>Return von %n Zeilen</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <source>bus of %n row(s)</source>
        <translation>
            <numerusform>Bus von %n Zeile</numerusform>
            <numerusform>Bus von %n Zeilen</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <source>group of %n row(s)</source>
        <translation>
            <numerusform>Gruppe von %n Zeile</numerusform>
            <numerusform>Gruppe von %n Zeilen</numerusform>
        </translation>
    </message>
    <message>
        <source>, to %1</source>
        <translation>, nach %1</translation>
    </message>
    <message>
        <source>Rename</source>
        <translation>Umbenennen</translation>
    </message>
    <message>
        <source>Its name</source>
        <translation>Sein Name</translation>
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
        <source>Select its rows</source>
        <translation>Seine Zeilen wählen</translation>
    </message>
    <message>
        <source>Ink</source>
        <translation>Tinte</translation>
    </message>
    <message>
        <source>Ink %1</source>
        <translation>Tinte %1</translation>
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
        <source>Add the selected rows</source>
        <translation>Die gewählten Zeilen dazunehmen</translation>
    </message>
    <message>
        <source>Leads to</source>
        <translation>Führt nach</translation>
    </message>
    <message>
        <source>the main output</source>
        <translation>zur Summe</translation>
    </message>
    <message>
        <source>Its members are the selected rows</source>
        <translation>Ihre Mitglieder sind die gewählten Zeilen</translation>
    </message>
    <message>
        <source>Members of the group</source>
        <translation>Mitglieder der Gruppe</translation>
    </message>
    <message>
        <source>Remove; its rows stay</source>
        <translation>Entfernen; die Zeilen bleiben</translation>
    </message>
    <message>
        <source>All other faders down by…</source>
        <translation>Alle anderen Fader nach unten um…</translation>
    </message>
</context>
<context>
    <name>isotonus::BusLane</name>
    <message>
        <source>; whole-song peak after the fader %1</source>
        <translation>; Spitze des ganzen Songs nach dem Fader %1</translation>
    </message>
    <message numerus="yes">
        <source>%1, a return: %n row(s) send to it; fader %2</source>
        <translation>
            <numerusform>%1, ein Return: %n Zeile sendet dorthin; Fader %2</numerusform>
            <numerusform>%1, ein Return: %n Zeilen senden dorthin; Fader %2</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <source>%1, a bus: sums %n row(s); fader %2</source>
        <translation>
            <numerusform>%1, ein Bus: summiert %n Zeile; Fader %2</numerusform>
            <numerusform>%1, ein Bus: summiert %n Zeilen; Fader %2</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <source>%1, a control group: moves %n row(s) by %2</source>
        <translation>
            <numerusform>%1, eine Regelgruppe: bewegt %n Zeile um %2</numerusform>
            <numerusform>%1, eine Regelgruppe: bewegt %n Zeilen um %2</numerusform>
        </translation>
    </message>
    <message>
        <source>%1 peaks at %2 with its fader at +12 dB.</source>
        <translation>%1 hat mit dem Fader auf +12 dB eine Spitze von %2.</translation>
    </message>
    <message>
        <source>%1 %2 %3</source>
        <translation>%1 %2 %3</translation>
    </message>
</context>
<context>
    <name>isotonus::ChangesPage</name>
    <message>
        <source>What has changed since the print</source>
        <translation>Was sich seit dem Abzug geändert hat</translation>
    </message>
    <message>
        <source>Row</source>
        <translation>Zeile</translation>
    </message>
    <message>
        <source>What has changed</source>
        <translation>Was sich geändert hat</translation>
    </message>
    <message>
        <source>Take this row back</source>
        <translation>Diese Zeile zurücknehmen</translation>
    </message>
    <message>
        <source>As it was at the print; one step of undo.</source>
        <translation>Wie sie beim Abzug war; ein Schritt zum Zurücknehmen.</translation>
    </message>
    <message>
        <source>Take everything back</source>
        <translation>Alles zurücknehmen</translation>
    </message>
    <message>
        <source>All that is heard as it was at the print. Notes, targets and sections stay.</source>
        <translation>Alles Hörbare wie beim Abzug. Notizen, Ziele und Abschnitte bleiben.</translation>
    </message>
    <message>
        <source>Back to %1</source>
        <translation>Zurück zu %1</translation>
    </message>
    <message>
        <source>Choose a print below: what differs between then and now stands here.</source>
        <translation>Wähle unten einen Abzug: was sich seither unterscheidet, steht hier.</translation>
    </message>
    <message>
        <source>Since %1 nothing that is heard has changed.</source>
        <translation>Seit %1 hat sich nichts Hörbares geändert.</translation>
    </message>
    <message>
        <source>Since %1 (%2):</source>
        <translation>Seit %1 (%2):</translation>
    </message>
    <message>
        <source>Take %1 back</source>
        <translation>%1 zurücknehmen</translation>
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
        <translation>Wege</translation>
    </message>
    <message>
        <source>Ends</source>
        <translation>Enden</translation>
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
        <source>fold what passes</source>
        <translation>Bestandenes falten</translation>
    </message>
    <message numerus="yes">
        <source>%n more pass</source>
        <translation>
            <numerusform>%n weitere bestanden</numerusform>
            <numerusform>%n weitere bestanden</numerusform>
        </translation>
    </message>
</context>
<context>
    <name>isotonus::ClipEditor</name>
    <message>
        <source>Clips of the focused track</source>
        <translation>Clips der gewählten Spur</translation>
    </message>
    <message>
        <source>clip %1 of %2, gain %3</source>
        <translation>Clip %1 von %2, Gain %3</translation>
    </message>
    <message>
        <source>Drag moves the clip in time.</source>
        <translation>Ziehen verschiebt den Clip in der Zeit.</translation>
    </message>
    <message>
        <source>Drag trims the clip at this end; what was cut away comes back the same way.</source>
        <translation>Ziehen kürzt den Clip an diesem Ende; Abgeschnittenes kommt ebenso zurück.</translation>
    </message>
    <message>
        <source>Drag makes the fade longer or shorter.</source>
        <translation>Ziehen macht die Blende länger oder kürzer.</translation>
    </message>
    <message>
        <source>Drag up or down for the clip&apos;s gain; double click takes it back to 0 dB. Shift and drag marks a stretch.</source>
        <translation>Ziehen nach oben oder unten für den Gain des Clips; Doppelklick stellt ihn auf 0 dB. Shift und Ziehen markiert eine Strecke.</translation>
    </message>
    <message>
        <source>Nothing sounds here. X splits the clip at the playhead.</source>
        <translation>Hier klingt nichts. X teilt den Clip an der Abspielstelle.</translation>
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
        <source>Choose a row: its clips are shown here.</source>
        <translation>Wähle eine Zeile: ihre Clips erscheinen hier.</translation>
    </message>
</context>
<context>
    <name>isotonus::ClipPanel</name>
    <message>
        <source>Split</source>
        <translation>Teilen</translation>
    </message>
    <message>
        <source>Cuts the clip in two at the playhead; nothing changes to the ear. (X)</source>
        <translation>Schneidet den Clip an der Abspielstelle entzwei; zu hören ist kein Unterschied. (X)</translation>
    </message>
    <message>
        <source>Cut out the marked stretch</source>
        <translation>Markiertes herausschneiden</translation>
    </message>
    <message>
        <source>Silences the stretch that is marked on the song map, with short fades: for a cough or a click.</source>
        <translation>Macht die in der Songkarte markierte Strecke still, mit kurzen Blenden: für ein Husten oder einen Klick.</translation>
    </message>
    <message>
        <source>+1 dB</source>
        <translation>+1 dB</translation>
    </message>
    <message>
        <source>The chosen clip louder: for a passage that is far too quiet.</source>
        <translation>Den gewählten Clip lauter: für eine Passage, die viel zu leise ist.</translation>
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
        <source>The chosen clip quieter.</source>
        <translation>Den gewählten Clip leiser.</translation>
    </message>
    <message>
        <source>Fade in</source>
        <translation>Einblenden</translation>
    </message>
    <message>
        <source>Fades the chosen clip in, up to the playhead.</source>
        <translation>Blendet den gewählten Clip bis zur Abspielstelle ein.</translation>
    </message>
    <message>
        <source>Fade out</source>
        <translation>Ausblenden</translation>
    </message>
    <message>
        <source>Fades the chosen clip out, from the playhead on.</source>
        <translation>Blendet den gewählten Clip ab der Abspielstelle aus.</translation>
    </message>
    <message>
        <source>Remove</source>
        <translation>Entfernen</translation>
    </message>
    <message>
        <source>Takes the chosen clip away; undo brings it back.</source>
        <translation>Nimmt den gewählten Clip weg; Zurücknehmen bringt ihn wieder.</translation>
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
        <source>Takes all clips away: the file as it is.</source>
        <translation>Nimmt alle Clips weg: die Datei, wie sie ist.</translation>
    </message>
    <message>
        <source>nothing was found that is worth a word</source>
        <translation>nichts gefunden, was der Rede wert wäre</translation>
    </message>
    <message>
        <source>Hear</source>
        <translation>Hören</translation>
    </message>
    <message>
        <source>Plays it alone, from %1.</source>
        <translation>Spielt sie allein, ab %1.</translation>
    </message>
    <message>
        <source>Mend</source>
        <translation>Beheben</translation>
    </message>
    <message>
        <source>Puts it right by a setting; the file is not changed, and undo takes it back.</source>
        <translation>Behebt es durch eine Einstellung; die Datei bleibt, wie sie ist, und Zurücknehmen macht es ungeschehen.</translation>
    </message>
    <message>
        <source>Put the playhead inside the clip first: a fade reaches to it.</source>
        <translation>Setze die Abspielstelle zuerst in den Clip: eine Blende reicht bis dorthin.</translation>
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
        <source>Types how long the selected clip fades in and out.</source>
        <translation>Gibt ein, wie lange der ausgewählte Clip ein- und ausgeblendet wird.</translation>
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
        <source>click a band of the picture to see who makes it</source>
        <translation>klicke ein Band im Bild an, um zu sehen, wer es macht</translation>
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
</context>
<context>
    <name>isotonus::ComparePanel</name>
    <message>
        <source>What the mix is compared with</source>
        <translation>Womit der Mix verglichen wird</translation>
    </message>
    <message>
        <source>Heard</source>
        <translation>Gehört</translation>
    </message>
    <message>
        <source>Name</source>
        <translation>Name</translation>
    </message>
    <message>
        <source>What</source>
        <translation>Was</translation>
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
        <source>Peak</source>
        <translation>Spitze</translation>
    </message>
    <message>
        <source>Matched by</source>
        <translation>Angeglichen um</translation>
    </message>
    <message>
        <source>Made, note</source>
        <translation>Entstanden, Notiz</translation>
    </message>
    <message>
        <source>frequencies</source>
        <translation>Frequenzen</translation>
    </message>
    <message>
        <source>What of the spectrum is missing or too much. A click on a band shows which rows make it.</source>
        <translation>Was im Spektrum fehlt oder zu viel ist. Ein Klick auf ein Band zeigt, welche Zeilen es machen.</translation>
    </message>
    <message>
        <source>loudness over time</source>
        <translation>Lautheit über die Zeit</translation>
    </message>
    <message>
        <source>One under the other, each with its own passages; what is tied is heard against each other.</source>
        <translation>Untereinander, jede mit eigenen Passagen; was verbunden ist, wird gegeneinander gehört.</translation>
    </message>
    <message>
        <source>width by bands</source>
        <translation>Breite nach Bändern</translation>
    </message>
    <message>
        <source>How wide each band is, and whether the low end is mono.</source>
        <translation>Wie breit jedes Band ist, und ob die Tiefen mono sind.</translation>
    </message>
    <message>
        <source>since the print</source>
        <translation>seit dem Abzug</translation>
    </message>
    <message>
        <source>What differs between a print and now, and the way back, row by row.</source>
        <translation>Was einen Abzug von jetzt unterscheidet, und der Weg zurück, Zeile für Zeile.</translation>
    </message>
    <message>
        <source>listening notes</source>
        <translation>Hörnotizen</translation>
    </message>
    <message>
        <source>What was noticed, when, and on what.</source>
        <translation>Was auffiel, wann und worauf gehört.</translation>
    </message>
    <message>
        <source>blind</source>
        <translation>blind</translation>
    </message>
    <message>
        <source>Which version is the best, when one does not know which it is.</source>
        <translation>Welche Fassung die beste ist, wenn man nicht weiß, welche es ist.</translation>
    </message>
    <message>
        <source>am I done?</source>
        <translation>bin ich fertig?</translation>
    </message>
    <message>
        <source>What of the job is done and what is not.</source>
        <translation>Was von der Arbeit getan ist und was nicht.</translation>
    </message>
    <message>
        <source>Of what spectra are</source>
        <translation>Wovon die Spektren sind</translation>
    </message>
    <message>
        <source>of the whole</source>
        <translation>vom Ganzen</translation>
    </message>
    <message>
        <source>of the passage</source>
        <translation>von der Passage</translation>
    </message>
    <message>
        <source>as it plays</source>
        <translation>wie es spielt</translation>
    </message>
    <message>
        <source>Of what the spectra and widths are: of everything; of the passages that stand against each other where the song is; of the last second.</source>
        <translation>Wovon die Spektren und Breiten sind: von allem; von den Passagen, die an der Stelle des Songs gegeneinanderstehen; von der letzten Sekunde.</translation>
    </message>
    <message>
        <source>Tie to this part of the song</source>
        <translation>Mit dieser Stelle des Songs verbinden</translation>
    </message>
    <message>
        <source>The marked passage of the recording stands against the loop or section where the song is: F6 changes over between the two.</source>
        <translation>Die markierte Passage der Aufnahme steht gegen den Loop oder Abschnitt, wo der Song ist: F6 wechselt zwischen beiden.</translation>
    </message>
    <message>
        <source>Untie</source>
        <translation>Trennen</translation>
    </message>
    <message>
        <source>It stays marked.</source>
        <translation>Markiert bleibt sie.</translation>
    </message>
    <message>
        <source>Name…</source>
        <translation>Name…</translation>
    </message>
    <message>
        <source>What the passage is: its chorus.</source>
        <translation>Was die Passage ist: ihr Refrain.</translation>
    </message>
    <message>
        <source>Remove</source>
        <translation>Entfernen</translation>
    </message>
    <message>
        <source>The passage is no longer marked.</source>
        <translation>Die Passage ist nicht mehr markiert.</translation>
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
        <source>Its name</source>
        <translation>Sein Name</translation>
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
        <source>In the mix&apos;s place, and back. (F6; Ctrl+Shift+F6 from where the passage begins; Ctrl+F6 goes on to the next)</source>
        <translation>Anstelle des Mixes, und zurück. (F6; Ctrl+Shift+F6 vom Anfang der Passage; Ctrl+F6 weiter zur nächsten)</translation>
    </message>
    <message>
        <source>Add a reference…</source>
        <translation>Referenz hinzufügen…</translation>
    </message>
    <message>
        <source>Any audio file to compare with. It never passes the mix&apos;s faders.</source>
        <translation>Eine beliebige Audiodatei zum Vergleichen. Sie läuft nie durch die Fader des Mixes.</translation>
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
        <source>From the shelf</source>
        <translation>Aus dem Regal</translation>
    </message>
    <message>
        <source>References that you used in other sessions, with their passages and notes.</source>
        <translation>Referenzen aus anderen Sitzungen, mit ihren Passagen und Notizen.</translation>
    </message>
    <message>
        <source>Note…</source>
        <translation>Notiz…</translation>
    </message>
    <message>
        <source>What this one is.</source>
        <translation>Was diese ist.</translation>
    </message>
    <message>
        <source>Note</source>
        <translation>Notiz</translation>
    </message>
    <message>
        <source>What this one is</source>
        <translation>Was diese ist</translation>
    </message>
    <message>
        <source>Take off the list</source>
        <translation>Von der Liste nehmen</translation>
    </message>
    <message>
        <source>The file stays.</source>
        <translation>Die Datei bleibt.</translation>
    </message>
    <message>
        <source>matched by loudness</source>
        <translation>in der Lautheit angeglichen</translation>
    </message>
    <message>
        <source>Matched by loudness</source>
        <translation>In der Lautheit angeglichen</translation>
    </message>
    <message>
        <source>of the tied passages</source>
        <translation>der verbundenen Passagen</translation>
    </message>
    <message>
        <source>Integrated over all of both; over the two passages that stand against each other; or the last three seconds. Where a recording would have to go beyond 0 dBTP for that, it and the mix are lowered alike, for the ear alone.</source>
        <translation>Integriert über alles von beiden; über die beiden Passagen, die gegeneinanderstehen; oder die letzten drei Sekunden. Wo eine Aufnahme dafür über 0 dBTP müsste, werden sie und der Mix gleichermaßen abgesenkt, nur für das Ohr.</translation>
    </message>
    <message>
        <source>nothing yet: references that you add stand here</source>
        <translation>noch nichts: Referenzen, die du hinzufügst, stehen hier</translation>
    </message>
    <message>
        <source>take off the shelf</source>
        <translation>aus dem Regal nehmen</translation>
    </message>
    <message>
        <source>the mix as it stands</source>
        <translation>der Mix, wie er steht</translation>
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
        <translation>Abzug</translation>
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
        <source>A blind comparison runs: nothing here says what you hear.</source>
        <translation>Ein Blindvergleich läuft: nichts hier sagt, was du hörst.</translation>
    </message>
    <message>
        <source>Nothing to compare with yet: export the mix with &apos;keep as a print&apos;, or add a reference.</source>
        <translation>Noch nichts zum Vergleichen: exportiere den Mix mit »als Abzug behalten«, oder füge eine Referenz hinzu.</translation>
    </message>
    <message>
        <source>You hear %1, brought to the mix&apos;s loudness. F6 goes back to the mix.</source>
        <translation>Du hörst %1, auf die Lautheit des Mixes gebracht. F6 geht zurück zum Mix.</translation>
    </message>
    <message>
        <source>You hear the mix. F6 changes over without a gap, matched in loudness.</source>
        <translation>Du hörst den Mix. F6 wechselt ohne Lücke, in der Lautheit angeglichen.</translation>
    </message>
    <message>
        <source> For the ear alone all is %1 lower: what is matched would clip otherwise.</source>
        <translation> Nur für das Ohr ist alles um %1 leiser: Angeglichenes würde sonst übersteuern.</translation>
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
        <translation>Abzug %1</translation>
    </message>
    <message>
        <source>Note to %1</source>
        <translation>Notiz zu %1</translation>
    </message>
    <message>
        <source>Take %1 off the list</source>
        <translation>%1 von der Liste nehmen</translation>
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
        <translation>gleichzeitig</translation>
    </message>
    <message>
        <source>%1 ms</source>
        <translation>%1 ms</translation>
    </message>
    <message>
        <source>correlation; late to the right</source>
        <translation>Korrelation; rechts ist später</translation>
    </message>
</context>
<context>
    <name>isotonus::CoverPage</name>
    <message>
        <source>listening to the tracks: %1 %</source>
        <translation>die Spuren werden angehört: %1 %</translation>
    </message>
    <message>
        <source>This track is not heard: muted, or its fader is off.</source>
        <translation>Diese Spur ist nicht zu hören: stumm, oder ihr Fader ist zu.</translation>
    </message>
    <message>
        <source>%1: %2 % of its bands stand above the rest, %3 % at the quiet check&apos;s level. What lies over it could go down instead:</source>
        <translation>%1: %2 % ihrer Bänder stehen über dem Rest, %3 % bei der Leiseprobe. Was darüber liegt, könnte stattdessen herunter:</translation>
    </message>
    <message>
        <source>the song</source>
        <translation>der Song</translation>
    </message>
    <message>
        <source>not playing</source>
        <translation>spielt nicht</translation>
    </message>
</context>
<context>
    <name>isotonus::Desk</name>
    <message>
        <source>1  Gather</source>
        <translation>1  Sammeln</translation>
    </message>
    <message>
        <source>The files are read and measured, and what is wrong with them is flagged. Nothing is done to the files themselves.</source>
        <translation>Die Dateien werden gelesen und gemessen, und was daran nicht stimmt, wird markiert. An den Dateien selbst geschieht nichts.</translation>
    </message>
    <message>
        <source>2  Stage</source>
        <translation>2  Einpegeln</translation>
    </message>
    <message>
        <source>Stage all (Ctrl+G) trims every row to its target level, so that all start from where faders work best.</source>
        <translation>Alle einpegeln (Ctrl+G) trimmt jede Zeile auf ihren Zielpegel, damit alle dort beginnen, wo Fader am besten arbeiten.</translation>
    </message>
    <message>
        <source>3  Balance</source>
        <translation>3  Balance</translation>
    </message>
    <message>
        <source>All down, then bring the rows up, the most important first. At the right stands the whole song&apos;s peak against its window.</source>
        <translation>Alle runter, dann die Zeilen hochholen, die wichtigste zuerst. Rechts steht die Spitze des ganzen Songs gegen ihr Fenster.</translation>
    </message>
    <message>
        <source>On each row</source>
        <translation>In jeder Zeile</translation>
    </message>
    <message>
        <source>M mutes it; S leaves only it and other soloed rows to be heard; hear, on a bus, lets you hear what leads to it alone.</source>
        <translation>M macht sie stumm; S lässt nur sie und andere Solos hören; »hören« an einem Bus lässt allein hören, was dorthin führt.</translation>
    </message>
    <message>
        <source>Drop a folder of audio files anywhere in this window</source>
        <translation>Lege einen Ordner mit Audiodateien irgendwo in diesem Fenster ab</translation>
    </message>
    <message>
        <source>One file for each sound, rendered from where the music was made: they become the rows of the mix.</source>
        <translation>Eine Datei für jeden Klang, exportiert von dort, wo die Musik entstand: sie werden die Zeilen des Mixes.</translation>
    </message>
    <message>
        <source>Open the demo: the paper-boat festival</source>
        <translation>Die Demo öffnen: das Papierbootfest</translation>
    </message>
    <message>
        <source>Choose a folder…</source>
        <translation>Ordner wählen…</translation>
    </message>
    <message>
        <source>Move rows</source>
        <translation>Zeilen verschieben</translation>
    </message>
    <message>
        <source>At the top right</source>
        <translation>Rechts oben</translation>
    </message>
    <message>
        <source>Take back, do again, and the menu: files, settings, the guide. F1 lists the keys; what the pointer is on stands at the bottom.</source>
        <translation>Zurücknehmen, wiederholen, und das Menü: Dateien, Einstellungen, Handbuch. F1 listet die Tasten; worauf der Zeiger steht, sagt die Zeile unten.</translation>
    </message>
</context>
<context>
    <name>isotonus::Document</name>
    <message>
        <source>Untitled</source>
        <translation>Unbenannt</translation>
    </message>
    <message>
        <source>%1: this cannot be. %2</source>
        <translation>%1: das geht nicht. %2</translation>
    </message>
    <message>
        <source>Take in the changed file</source>
        <translation>Geänderte Datei übernehmen</translation>
    </message>
    <message>
        <source>Unsaved work cannot be kept aside in case of a crash: %1</source>
        <translation>Ungesichertes kann für einen Absturz nicht beiseitegelegt werden: %1</translation>
    </message>
</context>
<context>
    <name>isotonus::DonePage</name>
    <message>
        <source>What of the job is done</source>
        <translation>Was von der Arbeit getan ist</translation>
    </message>
    <message>
        <source>What</source>
        <translation>Was</translation>
    </message>
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
            <numerusform>es fehlt %n Datei</numerusform>
            <numerusform>es fehlen %n Dateien</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <source>something is wrong in the files of %n row(s)</source>
        <translation>
            <numerusform>in den Dateien von %n Zeile stimmt etwas nicht</numerusform>
            <numerusform>in den Dateien von %n Zeilen stimmt etwas nicht</numerusform>
        </translation>
    </message>
    <message>
        <source>all files are understood</source>
        <translation>alle Dateien sind verstanden</translation>
    </message>
    <message>
        <source>%1 of %2 rows are staged into their windows</source>
        <translation>%1 von %2 Zeilen sind in ihre Fenster eingepegelt</translation>
    </message>
    <message numerus="yes">
        <source>%n anchor(s) set</source>
        <translation>
            <numerusform>%n Anker gesetzt</numerusform>
            <numerusform>%n Anker gesetzt</numerusform>
        </translation>
    </message>
    <message>
        <source>no anchor is set: what does the mix stand on?</source>
        <translation>kein Anker gesetzt: worauf steht der Mix?</translation>
    </message>
    <message>
        <source>the mix peaks at %1, its window ends at %2</source>
        <translation>die Spitze des Mixes ist %1, sein Fenster endet bei %2</translation>
    </message>
    <message>
        <source>the mix&apos;s peak is not known</source>
        <translation>die Spitze des Mixes ist nicht bekannt</translation>
    </message>
    <message>
        <source>how much of each row is heard is being found out</source>
        <translation>wie viel von jeder Zeile zu hören ist, wird ermittelt</translation>
    </message>
    <message numerus="yes">
        <source>hardly heard under the others: %n row(s)</source>
        <translation>
            <numerusform>unter den anderen kaum zu hören: %n Zeile</numerusform>
            <numerusform>unter den anderen kaum zu hören: %n Zeilen</numerusform>
        </translation>
    </message>
    <message>
        <source>every row is heard</source>
        <translation>jede Zeile ist zu hören</translation>
    </message>
    <message>
        <source>listened to %1, %2 s</source>
        <translation>gehört %1, %2 s</translation>
    </message>
    <message>
        <source>not listened to %1 yet</source>
        <translation>noch nicht gehört %1</translation>
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
        <source>as through a small system</source>
        <translation>wie durch ein kleines System</translation>
    </message>
    <message>
        <source>a reference was heard in the last hour</source>
        <translation>in der letzten Stunde wurde eine Referenz gehört</translation>
    </message>
    <message>
        <source>no reference was heard in the last hour</source>
        <translation>in der letzten Stunde wurde keine Referenz gehört</translation>
    </message>
    <message>
        <source>there is no reference to compare with</source>
        <translation>es gibt keine Referenz zum Vergleichen</translation>
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
        <source>the mix to export is being measured</source>
        <translation>der zu exportierende Mix wird gemessen</translation>
    </message>
    <message>
        <source>the exported mix keeps to the peaks of its profile; see Hand off for the other checks</source>
        <translation>der exportierte Mix hält die Spitzen seines Profils ein; die anderen Prüfungen stehen unter Übergeben</translation>
    </message>
    <message>
        <source>the peaks of the exported mix are higher than its profile allows</source>
        <translation>die Spitzen des exportierten Mixes sind höher, als sein Profil erlaubt</translation>
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
        <source>go to %1</source>
        <translation>zu %1</translation>
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
        <source>Use the left side of %1</source>
        <translation>Linke Seite von %1 nehmen</translation>
    </message>
    <message>
        <source>Use the right side of %1</source>
        <translation>Rechte Seite von %1 nehmen</translation>
    </message>
    <message>
        <source>Swap the sides of %1</source>
        <translation>Seiten von %1 tauschen</translation>
    </message>
    <message>
        <source>Tame the spikes of %1</source>
        <translation>Ausreißer von %1 zähmen</translation>
    </message>
    <message>
        <source>There is nothing to split at the playhead: it is outside of the clips, at an edge, or in a fade.</source>
        <translation>An der Abspielstelle gibt es nichts zu teilen: sie ist außerhalb der Clips, an einer Kante oder in einer Blende.</translation>
    </message>
    <message>
        <source>Split %1 at %2</source>
        <translation>%1 bei %2 teilen</translation>
    </message>
    <message>
        <source>Mark the stretch to cut out first: Shift and drag on the song map.</source>
        <translation>Markiere zuerst, was herausgeschnitten wird: Shift und Ziehen in der Songkarte.</translation>
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
        <source>%1 in</source>
        <translation>%1 ein</translation>
    </message>
    <message>
        <source>%1 out</source>
        <translation>%1 aus</translation>
    </message>
    <message>
        <source>Send %1 to %2</source>
        <translation>%1 nach %2 senden</translation>
    </message>
    <message numerus="yes">
        <source>Send %n row(s) to a new return &apos;%1&apos;</source>
        <translation>
            <numerusform>%n Zeile an einen neuen Return »%1« senden</numerusform>
            <numerusform>%n Zeilen an einen neuen Return »%1« senden</numerusform>
        </translation>
    </message>
    <message>
        <source>All chains out</source>
        <translation>Alle Ketten aus</translation>
    </message>
    <message>
        <source>All chains in</source>
        <translation>Alle Ketten ein</translation>
    </message>
    <message>
        <source>bus %1</source>
        <translation>Bus %1</translation>
    </message>
    <message numerus="yes">
        <source>Bus &apos;%1&apos; of %n row(s)</source>
        <translation>
            <numerusform>Bus »%1« aus %n Zeile</numerusform>
            <numerusform>Bus »%1« aus %n Zeilen</numerusform>
        </translation>
    </message>
    <message>
        <source>group %1</source>
        <translation>Gruppe %1</translation>
    </message>
    <message numerus="yes">
        <source>Control group &apos;%1&apos; of %n row(s)</source>
        <translation>
            <numerusform>Regelgruppe »%1« aus %n Zeile</numerusform>
            <numerusform>Regelgruppe »%1« aus %n Zeilen</numerusform>
        </translation>
    </message>
    <message>
        <source>Lead to %1</source>
        <translation>Nach %1 führen</translation>
    </message>
    <message>
        <source>the main output</source>
        <translation>zur Summe</translation>
    </message>
    <message>
        <source>Remove the bus</source>
        <translation>Bus entfernen</translation>
    </message>
    <message>
        <source>Remove the control group</source>
        <translation>Regelgruppe entfernen</translation>
    </message>
    <message>
        <source>Select pairs of rows: the second of each gets the first one&apos;s pan on the other side.</source>
        <translation>Wähle Paare von Zeilen: die zweite bekommt den Pan der ersten auf der anderen Seite.</translation>
    </message>
    <message>
        <source>Mirror pans</source>
        <translation>Pans spiegeln</translation>
    </message>
    <message>
        <source>Select several rows: they are spread evenly from side to side.</source>
        <translation>Wähle mehrere Zeilen: sie werden gleichmäßig von Seite zu Seite verteilt.</translation>
    </message>
    <message numerus="yes">
        <source>Spread pans of %n row(s)</source>
        <translation>
            <numerusform>Pan von %n Zeile verteilen</numerusform>
            <numerusform>Pans von %n Zeilen verteilen</numerusform>
        </translation>
    </message>
    <message>
        <source>All other faders %1</source>
        <translation>Alle anderen Fader %1</translation>
    </message>
    <message>
        <source>All mutes off</source>
        <translation>Keine mehr stumm</translation>
    </message>
    <message>
        <source>All solos off</source>
        <translation>Kein Solo mehr</translation>
    </message>
    <message>
        <source>Solo %1 alone</source>
        <translation>%1 allein solo</translation>
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
        <source>Stage with all of the song</source>
        <translation>Einpegeln mit dem ganzen Song</translation>
    </message>
    <message>
        <source>Order of the anchors</source>
        <translation>Reihenfolge der Anker</translation>
    </message>
    <message>
        <source>The ride of %1 out</source>
        <translation>Die Fahrt von %1 aus</translation>
    </message>
    <message>
        <source>The ride of %1 in</source>
        <translation>Die Fahrt von %1 ein</translation>
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
        <source>Its name, at %1</source>
        <translation>Sein Name, bei %1</translation>
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
        <source>Its name</source>
        <translation>Sein Name</translation>
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
        <source>What was noticed at %1</source>
        <translation>Was bei %1 auffiel</translation>
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
        <source>%1 of %2: its automation adds to what you set. In touch, latch or write you change the ride itself.</source>
        <translation>%1 von %2: die Automation kommt zu dem, was du einstellst, hinzu. In Touch, Latch oder Write änderst du die Fahrt selbst.</translation>
    </message>
    <message>
        <source>%1 of %2 follows its automation: what you set is heard once its ride is bypassed. In touch, latch or write you change the ride itself.</source>
        <translation>%1 von %2 folgt der Automation: was du einstellst, ist zu hören, sobald die Fahrt umgangen ist. In Touch, Latch oder Write änderst du die Fahrt selbst.</translation>
    </message>
    <message>
        <source>Unmute %1</source>
        <translation>%1 nicht mehr stumm</translation>
    </message>
    <message numerus="yes">
        <source>%n chain(s) out</source>
        <translation>
            <numerusform>%n Kette umgangen</numerusform>
            <numerusform>%n Ketten umgangen</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <source>%n chain(s) in</source>
        <translation>
            <numerusform>%n Kette an</numerusform>
            <numerusform>%n Ketten an</numerusform>
        </translation>
    </message>
    <message>
        <source>All other faders down</source>
        <translation>Alle anderen Fader nach unten</translation>
    </message>
    <message>
        <source>by, dB</source>
        <translation>um, dB</translation>
    </message>
</context>
<context>
    <name>isotonus::ExportForm</name>
    <message>
        <source>the mix</source>
        <translation>der Mix</translation>
    </message>
    <message>
        <source>the mix and a stem of each track</source>
        <translation>der Mix und ein Stem je Spur</translation>
    </message>
    <message>
        <source>the mix and a stem of each family</source>
        <translation>der Mix und ein Stem je Familie</translation>
    </message>
    <message>
        <source>the mix and a stem of each bus</source>
        <translation>der Mix und ein Stem je Bus</translation>
    </message>
    <message>
        <source>the mix and a stem of each control group</source>
        <translation>der Mix und ein Stem je Regelgruppe</translation>
    </message>
    <message>
        <source>stems of the tracks alone</source>
        <translation>nur Stems der Spuren</translation>
    </message>
    <message>
        <source>stems of the families alone</source>
        <translation>nur Stems der Familien</translation>
    </message>
    <message>
        <source>stems of the buses alone</source>
        <translation>nur Stems der Busse</translation>
    </message>
    <message>
        <source>stems of the control groups alone</source>
        <translation>nur Stems der Regelgruppen</translation>
    </message>
    <message>
        <source>Choose…</source>
        <translation>Wählen…</translation>
    </message>
    <message>
        <source>Mix to</source>
        <translation>Mix nach</translation>
    </message>
    <message>
        <source>main chain out</source>
        <translation>Summenkette aus</translation>
    </message>
    <message>
        <source>main chain in</source>
        <translation>Summenkette ein</translation>
    </message>
    <message>
        <source>both ways</source>
        <translation>beides</translation>
    </message>
    <message>
        <source>Main chain</source>
        <translation>Summenkette</translation>
    </message>
    <message>
        <source>What limits or squeezes the whole mix cannot be taken back: mastering mostly wants the mix without it. Stems are always without.</source>
        <translation>Was den ganzen Mix begrenzt oder drückt, lässt sich nicht zurücknehmen: Mastering will den Mix meist ohne. Stems sind immer ohne.</translation>
    </message>
    <message>
        <source>Hand off %1</source>
        <translation>Übergabe %1</translation>
    </message>
    <message>
        <source>What</source>
        <translation>Was</translation>
    </message>
    <message>
        <source>Names of the stems. {session} {part} {number} {section} {date} {rate} {bits} stand for what they say.</source>
        <translation>Namen der Stems. {session} {part} {number} {section} {date} {rate} {bits} stehen für das, was sie sagen.</translation>
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
        <source>As</source>
        <translation>Als</translation>
    </message>
    <message>
        <source>stems before the main fader</source>
        <translation>Stems vor dem Summenfader</translation>
    </message>
    <message>
        <source>Without the main fader and the main output&apos;s rides.</source>
        <translation>Ohne den Summenfader und die Fahrten der Summe.</translation>
    </message>
    <message>
        <source>returns in the stems</source>
        <translation>Returns in den Stems</translation>
    </message>
    <message>
        <source>A stem of a track or a family holds all that is heard of it, also in returns and in buses with chains; else those are stems of their own.</source>
        <translation>Der Stem einer Spur oder Familie enthält alles, was von ihr zu hören ist, auch in Returns und in Bussen mit Ketten; sonst sind das eigene Stems.</translation>
    </message>
    <message>
        <source>with its tail</source>
        <translation>mit Ausklang</translation>
    </message>
    <message>
        <source>A section or the loop goes on until it has died away.</source>
        <translation>Ein Abschnitt oder der Loop geht weiter, bis er verklungen ist.</translation>
    </message>
    <message>
        <source>Broadcast Wave</source>
        <translation>Broadcast Wave</translation>
    </message>
    <message>
        <source>Date, place in the song and loudness in the file (EBU Tech 3285).</source>
        <translation>Datum, Stelle im Song und Lautheit in der Datei (EBU Tech 3285).</translation>
    </message>
    <message>
        <source>hand-off sheet</source>
        <translation>Begleitblatt</translation>
    </message>
    <message>
        <source>PDF, JSON and text with figures, checks, notes and the recall list; and checksums.</source>
        <translation>PDF, JSON und Text mit Werten, Prüfungen, Notizen und den Einstellungen; und Prüfsummen.</translation>
    </message>
    <message>
        <source>keep as a print</source>
        <translation>als Abzug behalten</translation>
    </message>
    <message>
        <source>To compare with in Compare. The session as it is now is kept beside the file, so that one can see what has changed since, and go back.</source>
        <translation>Zum Vergleichen unter Vergleichen. Die Sitzung, wie sie jetzt ist, bleibt neben der Datei, damit man sieht, was sich seither geändert hat, und zurück kann.</translation>
    </message>
    <message>
        <source>dither</source>
        <translation>Dither</translation>
    </message>
    <message>
        <source>TPDF noise of ±1 LSB when the mix is reduced to 16 or 24 bit; without it, it is rounded.</source>
        <translation>TPDF-Rauschen von ±1 LSB, wenn der Mix auf 16 oder 24 Bit gebracht wird; ohne wird gerundet.</translation>
    </message>
    <message>
        <source>%1 kHz</source>
        <translation>%1 kHz</translation>
    </message>
    <message>
        <source>whole song</source>
        <translation>ganzer Song</translation>
    </message>
    <message>
        <source>loop, %1 to %2</source>
        <translation>Loop, %1 bis %2</translation>
    </message>
    <message>
        <source>each section by itself</source>
        <translation>jeder Abschnitt für sich</translation>
    </message>
    <message>
        <source>section %1, %2</source>
        <translation>Abschnitt %1, %2</translation>
    </message>
    <message>
        <source>Export the mix as</source>
        <translation>Den Mix exportieren als</translation>
    </message>
    <message>
        <source>Audio (*.wav *.aiff *.flac *.ogg *.opus *.mp3)</source>
        <translation>Audio (*.wav *.aiff *.flac *.ogg *.opus *.mp3)</translation>
    </message>
</context>
<context>
    <name>isotonus::ExportQueue</name>
    <message>
        <source>Cancelled; no file was written.</source>
        <translation>Abgebrochen; keine Datei wurde geschrieben.</translation>
    </message>
    <message>
        <source>Not exported: %1</source>
        <translation>Nicht exportiert: %1</translation>
    </message>
    <message>
        <source>%1 is written</source>
        <translation>%1 ist geschrieben</translation>
    </message>
    <message numerus="yes">
        <source>%n file(s) are written</source>
        <translation>
            <numerusform>%n Datei ist geschrieben</numerusform>
            <numerusform>%n Dateien sind geschrieben</numerusform>
        </translation>
    </message>
    <message>
        <source>, %1 among them</source>
        <translation>, darunter %1</translation>
    </message>
    <message>
        <source>%1, peak %2 (headroom %3), true peak %4, loudness %5</source>
        <translation>%1, Spitze %2 (Reserve %3), True Peak %4, Lautheit %5</translation>
    </message>
    <message>
        <source>all</source>
        <translation>alle</translation>
    </message>
    <message>
        <source>read back: level and length are right</source>
        <translation>zurückgelesen: Pegel und Länge stimmen</translation>
    </message>
    <message>
        <source>read back: every sample is right</source>
        <translation>zurückgelesen: jedes Sample stimmt</translation>
    </message>
    <message>
        <source>the stems&apos; sum differs from the mix by %1 at most</source>
        <translation>die Summe der Stems weicht höchstens %1 vom Mix ab</translation>
    </message>
    <message>
        <source>the stems sum to the mix exactly</source>
        <translation>die Stems ergeben genau den Mix</translation>
    </message>
    <message>
        <source>%1 samples lay above full scale and were clipped: turn the mix down</source>
        <translation>%1 Samples lagen über Vollaussteuerung und wurden beschnitten: drehe den Mix herunter</translation>
    </message>
    <message>
        <source>it took %1 s</source>
        <translation>es dauerte %1 s</translation>
    </message>
</context>
<context>
    <name>isotonus::FaderBoxWindow</name>
    <message>
        <source>Simulated fader box</source>
        <translation>Nachgebildete Faderbox</translation>
    </message>
    <message>
        <source>What it speaks</source>
        <translation>Was sie spricht</translation>
    </message>
    <message>
        <source>pitch bend, 14 bit</source>
        <translation>Pitch Bend, 14 Bit</translation>
    </message>
    <message>
        <source>controls 7 and 39, 14 bit</source>
        <translation>Controller 7 und 39, 14 Bit</translation>
    </message>
    <message>
        <source>control 7</source>
        <translation>Controller 7</translation>
    </message>
    <message>
        <source>8 rows up</source>
        <translation>8 Zeilen hoch</translation>
    </message>
    <message>
        <source>8 rows down</source>
        <translation>8 Zeilen runter</translation>
    </message>
    <message>
        <source>–</source>
        <translation>–</translation>
    </message>
    <message>
        <source>Fader %1: %2</source>
        <translation>Fader %1: %2</translation>
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
        <translation>Pan</translation>
    </message>
    <message>
        <source>width</source>
        <translation>Breite</translation>
    </message>
    <message>
        <source>left side</source>
        <translation>linke Seite</translation>
    </message>
    <message>
        <source>right side</source>
        <translation>rechte Seite</translation>
    </message>
    <message>
        <source>A fader goes up to +12 dB.</source>
        <translation>Ein Fader geht bis +12 dB.</translation>
    </message>
    <message>
        <source>The width goes from 0 to 200 %.</source>
        <translation>Die Breite geht von 0 bis 200 %.</translation>
    </message>
</context>
<context>
    <name>isotonus::FaderLink</name>
    <message>
        <source>simulated fader box</source>
        <translation>nachgebildete Faderbox</translation>
    </message>
    <message>
        <source>Move a fader: it will move %1 of %2.</source>
        <translation>Bewege einen Fader: er wird %1 von %2 bewegen.</translation>
    </message>
    <message>
        <source>This fader moves %1 of %2 now.</source>
        <translation>Dieser Fader bewegt jetzt %1 von %2.</translation>
    </message>
    <message>
        <source>The fader of %1 has not met its value yet.</source>
        <translation>Der Fader von %1 hat seinen Wert noch nicht getroffen.</translation>
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
        <translation>%1: Fader %2, Pan %3</translation>
    </message>
    <message>
        <source>Place %1</source>
        <translation>%1 platzieren</translation>
    </message>
    <message numerus="yes">
        <source>Place %n track(s)</source>
        <translation>
            <numerusform>%n Spur platzieren</numerusform>
            <numerusform>%n Spuren platzieren</numerusform>
        </translation>
    </message>
    <message>
        <source>Drag points: across is pan, up is level. A frame selects several.</source>
        <translation>Ziehe Punkte: quer ist Pan, hoch ist Pegel. Ein Rahmen wählt mehrere.</translation>
    </message>
    <message>
        <source>Place in the centre at 0 dB</source>
        <translation>In die Mitte auf 0 dB</translation>
    </message>
    <message>
        <source>off</source>
        <translation>aus</translation>
    </message>
    <message>
        <source>fader dB</source>
        <translation>Fader dB</translation>
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
        <source>Not everything could be added:</source>
        <translation>Nicht alles konnte hinzugefügt werden:</translation>
    </message>
    <message>
        <source>Unsaved changes</source>
        <translation>Ungesicherte Änderungen</translation>
    </message>
    <message>
        <source>%1 has changes that are not saved.</source>
        <translation>%1 hat Änderungen, die nicht gesichert sind.</translation>
    </message>
    <message>
        <source>Save</source>
        <translation>Sichern</translation>
    </message>
    <message>
        <source>Do not save</source>
        <translation>Nicht sichern</translation>
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
        <source>Write over it</source>
        <translation>Überschreiben</translation>
    </message>
    <message>
        <source>Take in what changed</source>
        <translation>Änderungen übernehmen</translation>
    </message>
    <message>
        <source>Another program has changed %1.</source>
        <translation>Ein anderes Programm hat %1 geändert.</translation>
    </message>
    <message>
        <source>Another program has changed %1. What you have not saved can be undone to.</source>
        <translation>Ein anderes Programm hat %1 geändert. Zu dem, was du nicht gesichert hast, kommt man durch Zurücknehmen.</translation>
    </message>
    <message>
        <source>Not now</source>
        <translation>Jetzt nicht</translation>
    </message>
    <message>
        <source>Save the session as</source>
        <translation>Sitzung sichern als</translation>
    </message>
    <message>
        <source>Add audio files</source>
        <translation>Audiodateien hinzufügen</translation>
    </message>
    <message>
        <source>Add a folder of audio files</source>
        <translation>Ordner mit Audiodateien hinzufügen</translation>
    </message>
    <message>
        <source>no audio files in this folder</source>
        <translation>keine Audiodateien in diesem Ordner</translation>
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
    <message numerus="yes">
        <source>%n pair(s) of mono files, by name the two sides of one sound: %1.</source>
        <translation>
            <numerusform>%n Paar Mono-Dateien, dem Namen nach die zwei Seiten eines Klangs: %1.</numerusform>
            <numerusform>%n Paare Mono-Dateien, den Namen nach die zwei Seiten eines Klangs: %1.</numerusform>
        </translation>
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
        <source>The festival is tuning up: the demo&apos;s music is being synthesised…</source>
        <translation>Das Fest stimmt sich ein: die Musik der Demo wird erzeugt…</translation>
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
        <source>Collect into a new or empty folder</source>
        <translation>In einen neuen oder leeren Ordner sammeln</translation>
    </message>
    <message>
        <source>Copying what the session needs…</source>
        <translation>Kopiert wird, was die Sitzung braucht…</translation>
    </message>
    <message numerus="yes">
        <source>%1 and %n file(s) are in %2.</source>
        <translation>
            <numerusform>%1 und %n Datei sind in %2.</numerusform>
            <numerusform>%1 und %n Dateien sind in %2.</numerusform>
        </translation>
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
        <translation>Ungesicherte Arbeit wurde gefunden</translation>
    </message>
    <message>
        <source>%1 was not saved when Isotonus last ended. Bring it back?</source>
        <translation>%1 war nicht gesichert, als Isotonus zuletzt endete. Zurückholen?</translation>
    </message>
    <message>
        <source>Bring it back</source>
        <translation>Zurückholen</translation>
    </message>
    <message>
        <source>Discard it</source>
        <translation>Verwerfen</translation>
    </message>
    <message>
        <source>Pan them left and right</source>
        <translation>Nach links und rechts pannen</translation>
    </message>
</context>
<context>
    <name>isotonus::GatherLane</name>
    <message>
        <source>Clip gain %1 %2</source>
        <translation>Clip-Gain %1 %2</translation>
    </message>
    <message>
        <source>Clip gain of %1 tracks</source>
        <translation>Clip-Gain von %1 Spuren</translation>
    </message>
    <message>
        <source>%1 is being read</source>
        <translation>%1 wird gelesen</translation>
    </message>
    <message>
        <source>%1: peak %2 at %3, true peak %4, %5 (%6), loudness %7. A click plays from there.</source>
        <translation>%1: Spitze %2 bei %3, True Peak %4, %5 (%6), Lautheit %7. Ein Klick spielt von dort.</translation>
    </message>
    <message>
        <source>A click plays it alone, from %1. </source>
        <translation>Ein Klick spielt es allein, ab %1. </translation>
    </message>
    <message>
        <source>The panel (E) can put it right.</source>
        <translation>Das Feld unten (E) kann es beheben.</translation>
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
        <translation>nicht zu hören: ihr Bus ist stumm</translation>
    </message>
    <message>
        <source>no file: not in the mix</source>
        <translation>keine Datei: nicht im Mix</translation>
    </message>
    <message>
        <source>peak %1 before its ride</source>
        <translation>Spitze %1 vor der Fahrt</translation>
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
        <source>ridden</source>
        <translation>gefahren</translation>
    </message>
    <message>
        <source>polarity inverted</source>
        <translation>Polarität gedreht</translation>
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
        <source>for mastering</source>
        <translation>fürs Mastering</translation>
    </message>
    <message>
        <source>streaming demo</source>
        <translation>Streaming-Demo</translation>
    </message>
    <message>
        <source>own limits</source>
        <translation>eigene Grenzen</translation>
    </message>
    <message>
        <source>What the checks ask for.</source>
        <translation>Was die Prüfungen verlangen.</translation>
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
    <message>
        <source>no files: every track is muted</source>
        <translation>keine Dateien: alle Spuren sind stumm</translation>
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
        <source>Notes to the engineer</source>
        <translation>Notizen an das Mastering</translation>
    </message>
    <message>
        <source>Notes to the engineer: what it should feel like, what worries you. They go on the sheet.</source>
        <translation>Notizen an das Mastering: wie es sich anfühlen soll, was dir Sorgen macht. Sie kommen auf das Blatt.</translation>
    </message>
    <message>
        <source>peak at most, dBFS</source>
        <translation>Spitze höchstens, dBFS</translation>
    </message>
    <message>
        <source>peak at least, dBFS</source>
        <translation>Spitze mindestens, dBFS</translation>
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
    <message numerus="yes">
        <source>%n worth a look</source>
        <translation>
            <numerusform>%n ansehen</numerusform>
            <numerusform>%n ansehen</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <source>%n to mend</source>
        <translation>
            <numerusform>%n zu beheben</numerusform>
            <numerusform>%n zu beheben</numerusform>
        </translation>
    </message>
    <message>
        <source>nothing to mend</source>
        <translation>nichts zu beheben</translation>
    </message>
    <message>
        <source>all pass</source>
        <translation>alles gut</translation>
    </message>
    <message>
        <source>The stems&apos; sum is being found out…</source>
        <translation>Die Summe der Stems wird ermittelt…</translation>
    </message>
    <message>
        <source>The stems sum to the mix.</source>
        <translation>Die Stems ergeben den Mix.</translation>
    </message>
    <message>
        <source>The stems&apos; sum is the mix to %1.</source>
        <translation>Die Summe der Stems ist der Mix bis auf %1.</translation>
    </message>
    <message numerus="yes">
        <source>Exporting; %n more wait(s)…</source>
        <translation>
            <numerusform>Exportiert; %n weiterer wartet…</numerusform>
            <numerusform>Exportiert; %n weitere warten…</numerusform>
        </translation>
    </message>
    <message>
        <source>Exporting…</source>
        <translation>Exportiert…</translation>
    </message>
    <message>
        <source>A mastering engineer wants 24 bit at the session&apos;s rate, with 3 to 6 dB of headroom.</source>
        <translation>Mastering will 24 Bit in der Rate der Sitzung, mit 3 bis 6 dB Reserve.</translation>
    </message>
    <message>
        <source>The chains are still being worked out: the export begins when they are.</source>
        <translation>Die Ketten werden noch gerechnet: der Export beginnt danach.</translation>
    </message>
    <message>
        <source>Export without them</source>
        <translation>Ohne sie exportieren</translation>
    </message>
    <message>
        <source>%1 exists already. Replace it?</source>
        <translation>%1 gibt es schon. Ersetzen?</translation>
    </message>
    <message numerus="yes">
        <source>%1 and %n more file(s) exist already. Replace them?</source>
        <translation>
            <numerusform>%1 und %n weitere Datei gibt es schon. Ersetzen?</numerusform>
            <numerusform>%1 und %n weitere Dateien gibt es schon. Ersetzen?</numerusform>
        </translation>
    </message>
    <message>
        <source>The file exists</source>
        <translation>Die Datei gibt es</translation>
    </message>
    <message>
        <source>Replace</source>
        <translation>Ersetzen</translation>
    </message>
    <message>
        <source>Checks</source>
        <translation>Prüfungen</translation>
    </message>
    <message>
        <source>A file has changed and is measured anew: the export begins when it is.</source>
        <translation>Eine Datei hat sich geändert und wird neu gemessen: danach beginnt der Export.</translation>
    </message>
    <message>
        <source>These files are being exported already.</source>
        <translation>Diese Dateien werden schon exportiert.</translation>
    </message>
    <message numerus="yes">
        <source>and %n more</source>
        <translation>
            <numerusform>und %n weiteres</numerusform>
            <numerusform>und %n weitere</numerusform>
        </translation>
    </message>
    <message>
        <source>The mix is not whole</source>
        <translation>Der Mix ist nicht vollständig</translation>
    </message>
    <message>
        <source>The export would be without this:</source>
        <translation>Im Export würde dies fehlen:</translation>
    </message>
    <message>
        <source>No processors on the main output</source>
        <translation>Keine Prozessoren auf der Summe</translation>
    </message>
    <message>
        <source>A demo is listened to as it is. Put the preset &apos;%1&apos; on the main output, and export the mix through it? %2</source>
        <translation>Ein Demo wird so gehört, wie es ist. Das Preset „%1“ auf die Summe legen und den Mix damit exportieren? %2</translation>
    </message>
    <message>
        <source>Put it there</source>
        <translation>Einsetzen</translation>
    </message>
    <message>
        <source>Leave it</source>
        <translation>So lassen</translation>
    </message>
    <message>
        <source>Export through the main output&apos;s processors</source>
        <translation>Mit den Prozessoren der Summe exportieren</translation>
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
            <numerusform>Reserveplan: %n Fader runter</numerusform>
            <numerusform>Reserveplan: %n Fader runter</numerusform>
        </translation>
    </message>
    <message>
        <source>Everything</source>
        <translation>Alles</translation>
    </message>
    <message>
        <source>All but the anchors</source>
        <translation>Alles außer den Ankern</translation>
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
Spitze %3, %4</translation>
    </message>
    <message>
        <source>no tracks</source>
        <translation>keine Spuren</translation>
    </message>
    <message>
        <source>looking for what makes the peak…</source>
        <translation>gesucht wird, was die Spitze macht…</translation>
    </message>
    <message>
        <source>%1 on the %2 side; made by, in dB each:</source>
        <translation>%1 auf der %2 Seite; gemacht von, je in dB:</translation>
    </message>
    <message>
        <source>right</source>
        <translation>rechten</translation>
    </message>
    <message>
        <source>left</source>
        <translation>linken</translation>
    </message>
    <message>
        <source>Nothing needs to go down: %1 of room is left in the window.</source>
        <translation>Nichts muss herunter: im Fenster sind %1 Platz.</translation>
    </message>
    <message>
        <source>What could go down so far; the pointer shows the faders:</source>
        <translation>Was so weit herunter könnte; der Zeiger zeigt die Fader:</translation>
    </message>
    <message>
        <source>No faders bring it into the window: the main output&apos;s processors decide its peak.</source>
        <translation>Kein Fader bringt sie ins Fenster: Die Prozessoren der Summe bestimmen ihren Spitzenpegel.</translation>
    </message>
</context>
<context>
    <name>isotonus::HitPicture</name>
    <message>
        <source>The two waveforms at the strongest hit</source>
        <translation>Die zwei Wellenformen am stärksten Schlag</translation>
    </message>
    <message>
        <source>choose a row of the table</source>
        <translation>wähle eine Zeile der Tabelle</translation>
    </message>
    <message>
        <source>%1 ms</source>
        <translation>%1 ms</translation>
    </message>
    <message>
        <source>broad: reference   fine: this row, as it stands</source>
        <translation>breit: Referenz   fein: diese Zeile, wie sie steht</translation>
    </message>
</context>
<context>
    <name>isotonus::KeysDialog</name>
    <message>
        <source>Keys</source>
        <translation>Tasten</translation>
    </message>
    <message>
        <source>A key, or a word of what it does</source>
        <translation>Eine Taste, oder ein Wort dessen, was sie tut</translation>
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
        <source>The whole job on the demo, page by page.</source>
        <translation>Die ganze Arbeit an der Demo, Seite für Seite.</translation>
    </message>
    <message>
        <source>No key does that.</source>
        <translation>Keine Taste tut das.</translation>
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
        <source>Levels of the chosen row</source>
        <translation>Pegel der gewählten Zeile</translation>
    </message>
    <message>
        <source>threshold %1</source>
        <translation>Schwelle %1</translation>
    </message>
    <message>
        <source>, most reduction %1, %2 while it works</source>
        <translation>, höchste Reduktion %1, %2 während er arbeitet</translation>
    </message>
    <message>
        <source>how often each level occurs</source>
        <translation>wie oft jeder Pegel vorkommt</translation>
    </message>
    <message>
        <source>%1 dB</source>
        <translation>%1 dB</translation>
    </message>
    <message>
        <source>being worked out</source>
        <translation>wird gerechnet</translation>
    </message>
    <message>
        <source>turns nothing down</source>
        <translation>regelt nichts herunter</translation>
    </message>
    <message>
        <source>most %1 dB at %2, %3 dB while it works</source>
        <translation>höchstens %1 dB bei %2, %3 dB während er arbeitet</translation>
    </message>
    <message>
        <source>how often; sidechain: %1</source>
        <translation>wie oft; Sidechain: %1</translation>
    </message>
    <message>
        <source>now %1</source>
        <translation>jetzt %1</translation>
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
        <source>The mix at %1. A click goes there.</source>
        <translation>Der Mix bei %1. Ein Klick geht dorthin.</translation>
    </message>
    <message>
        <source>%1 of the recording. A drag marks a passage; a double click sets this place against where the song is.</source>
        <translation>%1 der Aufnahme. Ziehen markiert eine Passage; Doppelklick stellt diese Stelle gegen die Stelle des Songs.</translation>
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
</context>
<context>
    <name>isotonus::MainFader</name>
    <message>
        <source>Main fader %1</source>
        <translation>Summenfader %1</translation>
    </message>
    <message>
        <source>Main fader %1: lowers the whole mix. Turn the tracks down first; this is for the last step.</source>
        <translation>Summenfader %1: senkt den ganzen Mix. Drehe zuerst die Spuren herunter; dieser ist für den letzten Schritt.</translation>
    </message>
    <message>
        <source>main fader</source>
        <translation>Summenfader</translation>
    </message>
</context>
<context>
    <name>isotonus::MainSpectrum</name>
    <message>
        <source>Spectrum of the main output</source>
        <translation>Spektrum der Summe</translation>
    </message>
    <message>
        <source>Spectrum of the main output, 20 Hz to 20 kHz: the line is the whole song, the filled part what plays.</source>
        <translation>Spektrum der Summe, 20 Hz bis 20 kHz: Die Linie ist der ganze Song, die Fläche, was gerade läuft.</translation>
    </message>
    <message>
        <source>live</source>
        <translation>live</translation>
    </message>
    <message>
        <source>of the whole song</source>
        <translation>des ganzen Songs</translation>
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
        <translation>Sichern</translation>
    </message>
    <message>
        <source>Save as…</source>
        <translation>Sichern als…</translation>
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
        <source>Collect into a folder…</source>
        <translation>In einen Ordner sammeln…</translation>
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
        <source>Nothing here asks for it: the demo&apos;s rows are not there, or have chains already.</source>
        <translation>Hier verlangt nichts danach: die Zeilen der Demo fehlen oder haben schon Ketten.</translation>
    </message>
    <message>
        <source>Undo</source>
        <translation>Zurücknehmen</translation>
    </message>
    <message>
        <source>Redo</source>
        <translation>Wiederholen</translation>
    </message>
    <message>
        <source>Day or night</source>
        <translation>Tag oder Nacht</translation>
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
        <source>To the start</source>
        <translation>Zum Anfang</translation>
    </message>
    <message>
        <source>Loop on or off</source>
        <translation>Loop an oder aus</translation>
    </message>
    <message>
        <source>To just before the mix&apos;s peak</source>
        <translation>Kurz vor die Spitze des Mixes</translation>
    </message>
    <message>
        <source>New section at the playhead</source>
        <translation>Neuer Abschnitt an der Abspielstelle</translation>
    </message>
    <message>
        <source>Loop the widest passage</source>
        <translation>Loop über die weiteste Passage</translation>
    </message>
    <message>
        <source>Loop the loudest passage</source>
        <translation>Loop über die lauteste Passage</translation>
    </message>
    <message>
        <source>Phase and polarity: of the selected rows, or of sets that are found</source>
        <translation>Phase und Polarität: der gewählten Zeilen, oder von gefundenen Sätzen</translation>
    </message>
    <message>
        <source>Selected rows up</source>
        <translation>Gewählte Zeilen hoch</translation>
    </message>
    <message>
        <source>Selected rows down</source>
        <translation>Gewählte Zeilen runter</translation>
    </message>
    <message>
        <source>Rename the row</source>
        <translation>Zeile umbenennen</translation>
    </message>
    <message>
        <source>Duplicate the selected rows</source>
        <translation>Gewählte Zeilen verdoppeln</translation>
    </message>
    <message>
        <source>Duplicate rows</source>
        <translation>Zeilen verdoppeln</translation>
    </message>
    <message>
        <source>Anchor: what the mix stands on</source>
        <translation>Anker: worauf der Mix steht</translation>
    </message>
    <message>
        <source>Anchor</source>
        <translation>Anker</translation>
    </message>
    <message>
        <source>Fold the row&apos;s family; a click unfolds it</source>
        <translation>Familie der Zeile falten; ein Klick entfaltet sie</translation>
    </message>
    <message>
        <source>Gather: clips and findings of the row</source>
        <translation>Sammeln: Clips und Befunde der Zeile</translation>
    </message>
    <message>
        <source>Gather: split the clip at the playhead</source>
        <translation>Sammeln: Clip an der Abspielstelle teilen</translation>
    </message>
    <message>
        <source>Gather: cut the marked stretch out</source>
        <translation>Sammeln: markierte Strecke herausschneiden</translation>
    </message>
    <message>
        <source>The chosen processor in or out</source>
        <translation>Gewählten Prozessor ein oder aus</translation>
    </message>
    <message>
        <source>The row&apos;s chain in or out</source>
        <translation>Kette der Zeile ein oder aus</translation>
    </message>
    <message>
        <source>All chains in or out</source>
        <translation>Alle Ketten ein oder aus</translation>
    </message>
    <message>
        <source>Snap to beats, when the song has a tempo</source>
        <translation>An Schlägen einrasten, wenn der Song ein Tempo hat</translation>
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
        <source>Hear the song with all faders and pans at rest, and back</source>
        <translation>Den Song mit allen Fadern und Pans in Ruhe hören, und zurück</translation>
    </message>
    <message>
        <source>Target sheet…</source>
        <translation>Zielblatt…</translation>
    </message>
    <message>
        <source>Stage: before and after, and what can be done</source>
        <translation>Einpegeln: vorher und nachher, und was zu tun ist</translation>
    </message>
    <message>
        <source>Window of the selected rows…</source>
        <translation>Fenster der gewählten Zeilen…</translation>
    </message>
    <message>
        <source>Tame the spikes of the selected rows</source>
        <translation>Ausreißer der gewählten Zeilen zähmen</translation>
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
        <source>Mute the selected rows</source>
        <translation>Gewählte Zeilen stumm</translation>
    </message>
    <message>
        <source>Mute</source>
        <translation>Stumm</translation>
    </message>
    <message>
        <source>Solo the selected rows</source>
        <translation>Gewählte Zeilen solo</translation>
    </message>
    <message>
        <source>Solo</source>
        <translation>Solo</translation>
    </message>
    <message>
        <source>All solos off</source>
        <translation>Kein Solo mehr</translation>
    </message>
    <message>
        <source>All mutes off</source>
        <translation>Keine mehr stumm</translation>
    </message>
    <message>
        <source>Solo the selected rows alone: all others off</source>
        <translation>Gewählte Zeilen allein solo: alle anderen aus</translation>
    </message>
    <message>
        <source>Stage: all trims to 0, but for locked rows</source>
        <translation>Einpegeln: alle Trims auf 0, außer gesperrten</translation>
    </message>
    <message>
        <source>All other faders down by…</source>
        <translation>Alle anderen Fader runter um…</translation>
    </message>
    <message>
        <source>The loop takes in the next section too</source>
        <translation>Der Loop nimmt den nächsten Abschnitt dazu</translation>
    </message>
    <message>
        <source>The loop takes in the section before too</source>
        <translation>Der Loop nimmt den Abschnitt davor dazu</translation>
    </message>
    <message>
        <source>Figures of what is heard now over the whole song: what is soloed, a bus alone</source>
        <translation>Werte dessen, was jetzt zu hören ist, über den ganzen Song: Solos, ein Bus allein</translation>
    </message>
    <message>
        <source>What is soloed</source>
        <translation>Was solo ist</translation>
    </message>
    <message>
        <source>The mix</source>
        <translation>Der Mix</translation>
    </message>
    <message>
        <source>What is heard</source>
        <translation>Was zu hören ist</translation>
    </message>
    <message>
        <source>%1, over the whole song: peak %2 at %3, true peak %4, %5 (%6), loudness %7.</source>
        <translation>%1, über den ganzen Song: Spitze %2 bei %3, True Peak %4, %5 (%6), Lautheit %7.</translation>
    </message>
    <message>
        <source>Stage the selected rows without the marked stretch; again: with all of the song</source>
        <translation>Gewählte Zeilen ohne die markierte Strecke einpegeln; nochmals: mit dem ganzen Song</translation>
    </message>
    <message>
        <source>On to the next section; a loop follows</source>
        <translation>Weiter zum nächsten Abschnitt; ein Loop geht mit</translation>
    </message>
    <message>
        <source>Back to where the section begins, or to the one before</source>
        <translation>Zurück zum Anfang des Abschnitts, oder zu dem davor</translation>
    </message>
    <message>
        <source>Solo safe: heard even when others are soloed</source>
        <translation>Solo-fest: zu hören, auch wenn andere solo sind</translation>
    </message>
    <message>
        <source>Solo safe</source>
        <translation>Solo-fest</translation>
    </message>
    <message>
        <source>Compare: the mix, and the print or reference heard last</source>
        <translation>Vergleichen: der Mix und der zuletzt gehörte Abzug oder die Referenz</translation>
    </message>
    <message>
        <source>Compare: change over, from where the passage or section begins</source>
        <translation>Vergleichen: wechseln, vom Anfang der Passage oder des Abschnitts</translation>
    </message>
    <message>
        <source>Listening note at the playhead…</source>
        <translation>Hörnotiz an der Abspielstelle…</translation>
    </message>
    <message>
        <source>Compare: on to the next print or reference</source>
        <translation>Vergleichen: weiter zum nächsten Abzug oder zur nächsten Referenz</translation>
    </message>
    <message>
        <source>Simulated fader box</source>
        <translation>Nachgebildete Faderbox</translation>
    </message>
    <message>
        <source>Ride: all rows read</source>
        <translation>Fahren: alle Zeilen lesen</translation>
    </message>
    <message>
        <source>Ride: all rows write while touched</source>
        <translation>Fahren: alle Zeilen schreiben, solange berührt</translation>
    </message>
    <message>
        <source>Reset all clip flags and holds</source>
        <translation>Alle Clip-Fahnen und Halte zurücksetzen</translation>
    </message>
    <message>
        <source>Stage all</source>
        <translation>Alle einpegeln</translation>
    </message>
    <message>
        <source>Select all rows</source>
        <translation>Alle Zeilen wählen</translation>
    </message>
    <message>
        <source>Show the whole song</source>
        <translation>Den ganzen Song zeigen</translation>
    </message>
    <message>
        <source>Remove the selected rows</source>
        <translation>Gewählte Zeilen entfernen</translation>
    </message>
    <message>
        <source>Row above, row below; with Shift the selection grows</source>
        <translation>Zeile darüber, Zeile darunter; mit Shift wächst die Auswahl</translation>
    </message>
    <message>
        <source>Value down or up by 1 dB; Shift 0.1 dB, Ctrl 3 dB</source>
        <translation>Wert um 1 dB runter oder hoch; Shift 0.1 dB, Ctrl 3 dB</translation>
    </message>
    <message>
        <source>Type the value; Enter sets it</source>
        <translation>Den Wert eingeben; Enter setzt ihn</translation>
    </message>
    <message>
        <source>Value back to 0 dB; so does a double click</source>
        <translation>Wert zurück auf 0 dB; so auch ein Doppelklick</translation>
    </message>
    <message>
        <source>Stage: stage these rows, lock them</source>
        <translation>Einpegeln: diese Zeilen einpegeln, sperren</translation>
    </message>
    <message>
        <source>Balance: pan left or right; P types it</source>
        <translation>Balance: Pan nach links oder rechts; P gibt ihn ein</translation>
    </message>
    <message>
        <source>Balance: width (or the right side); Shift+P types it</source>
        <translation>Balance: Breite (oder die rechte Seite); Shift+P gibt sie ein</translation>
    </message>
    <message>
        <source>Ride: point at the playhead, take points away, their shape, lock them</source>
        <translation>Fahren: Punkt an der Abspielstelle, Punkte wegnehmen, ihre Form, sperren</translation>
    </message>
    <message>
        <source>Ride: squeeze and spread the values, the times of the selected points</source>
        <translation>Fahren: Werte stauchen und dehnen, die Zeiten der gewählten Punkte</translation>
    </message>
    <message>
        <source>Ride: select points; in the strip above, mark one stretch more</source>
        <translation>Fahren: Punkte wählen; im Streifen darüber eine Strecke mehr markieren</translation>
    </message>
    <message>
        <source>Ride: copy a stretch, paste it at the playhead, type a point</source>
        <translation>Fahren: Strecke kopieren, an der Abspielstelle einfügen, Punkt eingeben</translation>
    </message>
    <message>
        <source>Ride: the ride that is shown, in or out</source>
        <translation>Fahren: die gezeigte Fahrt ein oder aus</translation>
    </message>
    <message>
        <source>Ride: the point before, the point after; arrows move it</source>
        <translation>Fahren: der Punkt davor, der Punkt danach; Pfeile bewegen ihn</translation>
    </message>
    <message>
        <source>Balance: headroom plan</source>
        <translation>Balance: Reserveplan</translation>
    </message>
    <message>
        <source>Balance: build-up</source>
        <translation>Balance: Aufbau</translation>
    </message>
    <message>
        <source>Balance: what covers the row, and how much of it is heard</source>
        <translation>Balance: was die Zeile verdeckt, und wie viel von ihr zu hören ist</translation>
    </message>
    <message>
        <source>Balance: loss in mono, row by row</source>
        <translation>Balance: Verlust in Mono, Zeile für Zeile</translation>
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
        <source>Bus of the selected rows, or of the row&apos;s family</source>
        <translation>Bus der gewählten Zeilen, oder der Familie der Zeile</translation>
    </message>
    <message>
        <source>Control group of the selected rows, or of the row&apos;s family</source>
        <translation>Regelgruppe der gewählten Zeilen, oder der Familie der Zeile</translation>
    </message>
    <message>
        <source>Mirror the pans of selected rows, two by two</source>
        <translation>Pans der gewählten Zeilen spiegeln, je zwei</translation>
    </message>
    <message>
        <source>Spread the selected rows evenly from side to side</source>
        <translation>Gewählte Zeilen gleichmäßig von Seite zu Seite verteilen</translation>
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
        <source>Monitor: everything as it is</source>
        <translation>Abhören: alles, wie es ist</translation>
    </message>
    <message>
        <source>Listen to the selected rows before the fader, the rest dimmed</source>
        <translation>Gewählte Zeilen vor dem Fader anhören, der Rest gedämpft</translation>
    </message>
    <message>
        <source>Listen to the selected rows after the fader, the rest dimmed</source>
        <translation>Gewählte Zeilen nach dem Fader anhören, der Rest gedämpft</translation>
    </message>
    <message>
        <source>Hear bus or group %1 alone, and back</source>
        <translation>Bus oder Gruppe %1 allein hören, und zurück</translation>
    </message>
    <message>
        <source>Remember the selected rows as %1</source>
        <translation>Gewählte Zeilen als %1 merken</translation>
    </message>
    <message>
        <source>Remember the selection</source>
        <translation>Auswahl merken</translation>
    </message>
    <message>
        <source>Select the remembered rows %1</source>
        <translation>Gemerkte Zeilen %1 wählen</translation>
    </message>
    <message>
        <source>Mark the stretch first: Shift and drag in the song map.</source>
        <translation>Markiere zuerst die Strecke: Shift und Ziehen in der Songkarte.</translation>
    </message>
    <message>
        <source>Window of these rows</source>
        <translation>Fenster dieser Zeilen</translation>
    </message>
    <message>
        <source>measure low high (peak, average, true_peak, short_term, vu); empty: as the sheet says</source>
        <translation>Maß tief hoch (peak, average, true_peak, short_term, vu); leer: wie das Blatt sagt</translation>
    </message>
    <message>
        <source>Window %1</source>
        <translation>Fenster %1</translation>
    </message>
    <message>
        <source>Rows up</source>
        <translation>Zeilen hoch</translation>
    </message>
    <message>
        <source>Rows down</source>
        <translation>Zeilen runter</translation>
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
        <source>not saved yet</source>
        <translation>noch nicht gesichert</translation>
    </message>
    <message>
        <source>Undo: %1</source>
        <translation>Zurücknehmen: %1</translation>
    </message>
    <message>
        <source>Redo: %1</source>
        <translation>Wiederholen: %1</translation>
    </message>
    <message>
        <source>An export is running</source>
        <translation>Ein Export läuft</translation>
    </message>
    <message>
        <source>It is not finished. Leave, and write none of its files?</source>
        <translation>Er ist nicht fertig. Gehen, und keine seiner Dateien schreiben?</translation>
    </message>
    <message>
        <source>Leave</source>
        <translation>Verlassen</translation>
    </message>
    <message>
        <source>Shape: advice on the row&apos;s chain</source>
        <translation>Formen: Vorschläge für die Kette der Zeile</translation>
    </message>
    <message>
        <source>The guide&apos;s pages were not found beside the program. Install the package again; their text is in docs/guide of the source.</source>
        <translation>Die Seiten des Handbuchs wurden neben dem Programm nicht gefunden. Installiere das Paket neu; ihr Text steht in docs/guide der Quellen.</translation>
    </message>
    <message>
        <source>Faders in a window of their own</source>
        <translation>Fader in eigenem Fenster</translation>
    </message>
    <message>
        <source>Spectrum of the main output</source>
        <translation>Spektrum der Summe</translation>
    </message>
</context>
<context>
    <name>isotonus::Mains</name>
    <message>
        <source>clipped</source>
        <translation>übersteuert</translation>
    </message>
    <message>
        <source>A sample went above 0 dBFS. Click to reset. (C resets all)</source>
        <translation>Ein Sample ging über 0 dBFS. Klick setzt zurück. (C setzt alle zurück)</translation>
    </message>
    <message>
        <source>chain</source>
        <translation>Kette</translation>
    </message>
    <message>
        <source>Main chain</source>
        <translation>Summenkette</translation>
    </message>
    <message>
        <source>The main output&apos;s chain, in or out as a whole. What it does is set in Shape.</source>
        <translation>Die Kette der Summe, als Ganzes ein oder aus. Was sie tut, stellt man unter Formen.</translation>
    </message>
    <message>
        <source>dim</source>
        <translation>Dim</translation>
    </message>
    <message>
        <source>20 dB lower, to talk over it. (D)</source>
        <translation>20 dB leiser, um darüber zu reden. (D)</translation>
    </message>
    <message>
        <source>quiet</source>
        <translation>leise</translation>
    </message>
    <message>
        <source>The quiet check: 30 dB lower. What vanishes now is too low in the mix. (Q)</source>
        <translation>Die Leiseprobe: 30 dB leiser. Was jetzt verschwindet, ist im Mix zu leise. (Q)</translation>
    </message>
    <message>
        <source>mono</source>
        <translation>Mono</translation>
    </message>
    <message>
        <source>Both sides summed, as phones and clubs play it. (O)</source>
        <translation>Beide Seiten summiert, wie Telefone und Clubs es spielen. (O)</translation>
    </message>
    <message>
        <source>L</source>
        <translation>L</translation>
    </message>
    <message>
        <source>The left side alone, on both.</source>
        <translation>Die linke Seite allein, auf beiden.</translation>
    </message>
    <message>
        <source>R</source>
        <translation>R</translation>
    </message>
    <message>
        <source>The right side alone, on both.</source>
        <translation>Die rechte Seite allein, auf beiden.</translation>
    </message>
    <message>
        <source>swap</source>
        <translation>Tausch</translation>
    </message>
    <message>
        <source>Left and right change places.</source>
        <translation>Links und rechts tauschen den Platz.</translation>
    </message>
    <message>
        <source>side</source>
        <translation>Seite</translation>
    </message>
    <message>
        <source>Only what differs between the sides: what mono would lose.</source>
        <translation>Nur, was die Seiten unterscheidet: was Mono verlöre.</translation>
    </message>
    <message>
        <source>played by…</source>
        <translation>auf Gerät…</translation>
    </message>
    <message>
        <source>Hear it as through a small system: which part of the spectrum is left, and mono where it is.</source>
        <translation>Wie durch ein kleines System hören: welcher Teil des Spektrums bleibt, und mono, wo es das ist.</translation>
    </message>
    <message>
        <source>loudspeakers</source>
        <translation>Lautsprecher</translation>
    </message>
    <message>
        <source>as it is</source>
        <translation>wie es ist</translation>
    </message>
    <message>
        <source>a phone</source>
        <translation>ein Telefon</translation>
    </message>
    <message>
        <source>one small speaker: nothing below 450 Hz, mono</source>
        <translation>ein kleiner Lautsprecher: nichts unter 450 Hz, mono</translation>
    </message>
    <message>
        <source>a laptop</source>
        <translation>ein Laptop</translation>
    </message>
    <message>
        <source>little below 200 Hz, a bump at 700 Hz</source>
        <translation>wenig unter 200 Hz, ein Buckel bei 700 Hz</translation>
    </message>
    <message>
        <source>a kitchen radio</source>
        <translation>ein Küchenradio</translation>
    </message>
    <message>
        <source>no low end, no top, mono</source>
        <translation>keine Tiefen, keine Höhen, mono</translation>
    </message>
    <message>
        <source>earphones</source>
        <translation>Ohrhörer</translation>
    </message>
    <message>
        <source>a lift below 90 Hz and at 3 kHz</source>
        <translation>angehoben unter 90 Hz und bei 3 kHz</translation>
    </message>
    <message>
        <source>a car</source>
        <translation>ein Auto</translation>
    </message>
    <message>
        <source>6 dB more below 100 Hz, less around 350 Hz</source>
        <translation>6 dB mehr unter 100 Hz, weniger um 350 Hz</translation>
    </message>
    <message>
        <source>a club, mono</source>
        <translation>ein Club, mono</translation>
    </message>
    <message>
        <source>6 dB more below 90 Hz, mono</source>
        <translation>6 dB mehr unter 90 Hz, mono</translation>
    </message>
    <message>
        <source>my own correction…</source>
        <translation>meine eigene Korrektur…</translation>
    </message>
    <message>
        <source>A curve of your room or headphones: a CSV file with a frequency and a gain in each line.</source>
        <translation>Eine Kurve deines Raums oder Kopfhörers: eine CSV-Datei mit Frequenz und Gain in jeder Zeile.</translation>
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
        <source>without correction</source>
        <translation>ohne Korrektur</translation>
    </message>
    <message>
        <source>without the correction &apos;%1&apos;</source>
        <translation>ohne die Korrektur »%1«</translation>
    </message>
    <message>
        <source>cross-feed</source>
        <translation>Cross-Feed</translation>
    </message>
    <message>
        <source>For headphones: each ear hears a little of the other side, as from loudspeakers.</source>
        <translation>Für Kopfhörer: jedes Ohr hört ein wenig von der anderen Seite, wie bei Lautsprechern.</translation>
    </message>
    <message>
        <source>none</source>
        <translation>keiner</translation>
    </message>
    <message>
        <source>near loudspeakers</source>
        <translation>nahe Lautsprecher</translation>
    </message>
    <message>
        <source>middle distance</source>
        <translation>mittlerer Abstand</translation>
    </message>
    <message>
        <source>far loudspeakers</source>
        <translation>ferne Lautsprecher</translation>
    </message>
    <message>
        <source>faders at rest (0)</source>
        <translation>Fader in Ruhe (0)</translation>
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
        <source>a low end alone</source>
        <translation>Tiefen allein</translation>
    </message>
    <message>
        <source>some rows alone</source>
        <translation>einige Zeilen allein</translation>
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
        <source>left only</source>
        <translation>nur links</translation>
    </message>
    <message>
        <source>right only</source>
        <translation>nur rechts</translation>
    </message>
    <message>
        <source>swapped</source>
        <translation>getauscht</translation>
    </message>
    <message>
        <source>side only</source>
        <translation>nur Seite</translation>
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
        <source>hearing: %1</source>
        <translation>zu hören: %1</translation>
    </message>
    <message>
        <source>Mains, whole-song peak %1</source>
        <translation>Summe, Spitze des ganzen Songs %1</translation>
    </message>
    <message>
        <source>not known yet</source>
        <translation>noch nicht bekannt</translation>
    </message>
    <message>
        <source>A click takes all of it away, but the correction of the room: the mix as it is.</source>
        <translation>Ein Klick nimmt all das weg, außer der Korrektur des Raums: der Mix, wie er ist.</translation>
    </message>
    <message>
        <source>The highest sample of the whole song, as the mix stands. A click goes to just before it.</source>
        <translation>Das höchste Sample des ganzen Songs, wie der Mix steht. Ein Klick geht kurz davor.</translation>
    </message>
    <message>
        <source>Live level of the main output; the bracket is its window while mixing. A click resets hold and clip flag.</source>
        <translation>Der Pegel der Summe jetzt; die Klammer ist ihr Fenster beim Mischen. Ein Klick setzt Halten und Clip-Fahne zurück.</translation>
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
        <source>Mains: whole-song peak</source>
        <translation>Summe: Spitze des Songs</translation>
    </message>
    <message>
        <source>Peak after this change: at most</source>
        <translation>Spitze danach: höchstens</translation>
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
        <source>clips: %1 above</source>
        <translation>übersteuert: %1 darüber</translation>
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
        <source>in its window</source>
        <translation>im Fenster</translation>
    </message>
    <message>
        <source>at %1; wanted %2 … %3</source>
        <translation>bei %1; Ziel %2 … %3</translation>
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
        <source>average plain</source>
        <translation>Mittel einfach</translation>
    </message>
    <message>
        <source>average AES17</source>
        <translation>Mittel AES17</translation>
    </message>
    <message>
        <source>programme</source>
        <translation>Programm</translation>
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
        <source>Summed to mono the whole mix changes by %1; by row, the greatest loss first (0 dB: nothing is lost):</source>
        <translation>In Mono ändert sich der ganze Mix um %1; nach Zeilen, der größte Verlust zuerst (0 dB: nichts geht verloren):</translation>
    </message>
    <message>
        <source>… dB</source>
        <translation>… dB</translation>
    </message>
    <message>
        <source>gone</source>
        <translation>weg</translation>
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
        <translation>Fertig</translation>
    </message>
    <message>
        <source>At</source>
        <translation>Bei</translation>
    </message>
    <message>
        <source>What</source>
        <translation>Was</translation>
    </message>
    <message>
        <source>Heard on</source>
        <translation>Gehört auf</translation>
    </message>
    <message>
        <source>Noted</source>
        <translation>Notiert</translation>
    </message>
    <message>
        <source>Note at the playhead…</source>
        <translation>Notiz an der Abspielstelle…</translation>
    </message>
    <message>
        <source>What was noticed, where the song is now; the playback check that is on is noted with it. (Shift+N)</source>
        <translation>Was auffiel, wo der Song jetzt ist; die Abspielprobe, die an ist, wird mitnotiert. (Shift+N)</translation>
    </message>
    <message>
        <source>Reword…</source>
        <translation>Umformulieren…</translation>
    </message>
    <message>
        <source>Changes the words of the note.</source>
        <translation>Ändert die Worte der Notiz.</translation>
    </message>
    <message>
        <source>Heard on…</source>
        <translation>Gehört auf…</translation>
    </message>
    <message>
        <source>On which system it was noticed: in the car, a phone.</source>
        <translation>Auf welchem System es auffiel: im Auto, am Telefon.</translation>
    </message>
    <message>
        <source>Remove</source>
        <translation>Entfernen</translation>
    </message>
    <message>
        <source>Takes the note away.</source>
        <translation>Nimmt die Notiz weg.</translation>
    </message>
    <message>
        <source>On the hand-off sheet</source>
        <translation>Auf das Begleitblatt</translation>
    </message>
    <message>
        <source>Notes that are not ticked off go with the mix.</source>
        <translation>Notizen, die nicht abgehakt sind, gehen mit dem Mix.</translation>
    </message>
    <message>
        <source>Listening note</source>
        <translation>Hörnotiz</translation>
    </message>
    <message>
        <source>What was noticed</source>
        <translation>Was auffiel</translation>
    </message>
    <message>
        <source>Reword a note</source>
        <translation>Notiz umformulieren</translation>
    </message>
    <message>
        <source>Heard on %1</source>
        <translation>Gehört auf %1</translation>
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
        <source>Tick a note off</source>
        <translation>Notiz abhaken</translation>
    </message>
    <message>
        <source>Untick a note</source>
        <translation>Notiz wieder offen</translation>
    </message>
    <message>
        <source>the room</source>
        <translation>dem Raum</translation>
    </message>
</context>
<context>
    <name>isotonus::PanelHandle</name>
    <message>
        <source>Drag: a higher or lower panel. Double click: as high as it was at first.</source>
        <translation>Ziehen: das Feld höher oder niedriger. Doppelklick: so hoch wie zuerst.</translation>
    </message>
</context>
<context>
    <name>isotonus::PhaseDialog</name>
    <message>
        <source>Phase and polarity</source>
        <translation>Phase und Polarität</translation>
    </message>
    <message>
        <source>Set of microphones</source>
        <translation>Satz von Mikrofonen</translation>
    </message>
    <message>
        <source>Rows that may be microphones of one source: found by their names, and proved by their sound.</source>
        <translation>Zeilen, die Mikrofone einer Quelle sein können: nach ihren Namen gefunden, durch ihren Klang belegt.</translation>
    </message>
    <message>
        <source>Set</source>
        <translation>Satz</translation>
    </message>
    <message>
        <source>Reference</source>
        <translation>Referenz</translation>
    </message>
    <message>
        <source>The microphone that stays where it is; the closest one is a good choice.</source>
        <translation>Das Mikrofon, das bleibt, wo es ist; das nächste an der Quelle ist eine gute Wahl.</translation>
    </message>
    <message>
        <source>Row</source>
        <translation>Zeile</translation>
    </message>
    <message>
        <source>late by</source>
        <translation>später um</translation>
    </message>
    <message>
        <source>in time</source>
        <translation>gleichzeitig</translation>
    </message>
    <message>
        <source>in air</source>
        <translation>in der Luft</translation>
    </message>
    <message>
        <source>polarity</source>
        <translation>Polarität</translation>
    </message>
    <message>
        <source>correlation</source>
        <translation>Korrelation</translation>
    </message>
    <message>
        <source>aligned</source>
        <translation>ausgerichtet</translation>
    </message>
    <message>
        <source>below 200 Hz</source>
        <translation>unter 200 Hz</translation>
    </message>
    <message>
        <source>−0.1 ms</source>
        <translation>−0.1 ms</translation>
    </message>
    <message>
        <source>This row 0.1 ms earlier.</source>
        <translation>Diese Zeile 0.1 ms früher.</translation>
    </message>
    <message>
        <source>−1 sample</source>
        <translation>−1 Sample</translation>
    </message>
    <message>
        <source>This row one sample earlier.</source>
        <translation>Diese Zeile ein Sample früher.</translation>
    </message>
    <message>
        <source>+1 sample</source>
        <translation>+1 Sample</translation>
    </message>
    <message>
        <source>This row one sample later.</source>
        <translation>Diese Zeile ein Sample später.</translation>
    </message>
    <message>
        <source>+0.1 ms</source>
        <translation>+0.1 ms</translation>
    </message>
    <message>
        <source>This row 0.1 ms later.</source>
        <translation>Diese Zeile 0.1 ms später.</translation>
    </message>
    <message>
        <source>Invert polarity</source>
        <translation>Polarität drehen</translation>
    </message>
    <message>
        <source>Turns this row&apos;s waveform upside down.</source>
        <translation>Stellt die Wellenform dieser Zeile auf den Kopf.</translation>
    </message>
    <message>
        <source>Align this row</source>
        <translation>Diese Zeile ausrichten</translation>
    </message>
    <message>
        <source>Align all</source>
        <translation>Alle ausrichten</translation>
    </message>
    <message>
        <source>Sets delay and polarity where the evidence is good. Undo takes it back.</source>
        <translation>Setzt Verzögerung und Polarität, wo die Belege gut sind. Zurücknehmen macht es ungeschehen.</translation>
    </message>
    <message>
        <source>Undo</source>
        <translation>Zurücknehmen</translation>
    </message>
    <message>
        <source>Looking for rows that are microphones of one source…</source>
        <translation>Gesucht werden Zeilen, die Mikrofone einer Quelle sind…</translation>
    </message>
    <message>
        <source>No rows were found that are microphones of one source. Select two or more rows to compare them anyway.</source>
        <translation>Keine Zeilen gefunden, die Mikrofone einer Quelle sind. Wähle zwei oder mehr Zeilen, um sie trotzdem zu vergleichen.</translation>
    </message>
    <message>
        <source>Listening to the strongest hits of both…</source>
        <translation>Die stärksten Schläge beider werden angehört…</translation>
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
        <translation>gedreht</translation>
    </message>
    <message>
        <source>same</source>
        <translation>gleich</translation>
    </message>
    <message>
        <source>the evidence is too weak to advise</source>
        <translation>die Belege sind für einen Rat zu schwach</translation>
    </message>
    <message>
        <source>Aligned microphones add up where they now cancel: the last column says what the low end gains. Undo takes it back.</source>
        <translation>Ausgerichtete Mikrofone addieren sich, wo sie sich jetzt auslöschen: die letzte Spalte sagt, was die Tiefen gewinnen. Zurücknehmen macht es ungeschehen.</translation>
    </message>
    <message>
        <source>Nothing here moves with the reference closely enough to be aligned.</source>
        <translation>Nichts hier bewegt sich eng genug mit der Referenz, um ausgerichtet zu werden.</translation>
    </message>
    <message>
        <source>%1 stands at %2 samples (%3 ms), polarity %4</source>
        <translation>%1 steht bei %2 Samples (%3 ms), Polarität %4</translation>
    </message>
    <message>
        <source>as recorded</source>
        <translation>wie aufgenommen</translation>
    </message>
    <message numerus="yes">
        <source>Align %n row(s) to %1</source>
        <translation>
            <numerusform>%n Zeile an %1 ausrichten</numerusform>
            <numerusform>%n Zeilen an %1 ausrichten</numerusform>
        </translation>
    </message>
    <message>
        <source>Delay %1 %2 samples</source>
        <translation>Verzögerung %1 %2 Samples</translation>
    </message>
    <message>
        <source>Invert polarity of %1</source>
        <translation>Polarität von %1 drehen</translation>
    </message>
</context>
<context>
    <name>isotonus::PicturePage</name>
    <message>
        <source>L</source>
        <translation>L</translation>
    </message>
    <message>
        <source>R</source>
        <translation>R</translation>
    </message>
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
</context>
<context>
    <name>isotonus::Player</name>
    <message>
        <source>%1. The simulated device keeps time instead.</source>
        <translation>%1. Stattdessen hält das nachgebildete Gerät die Zeit.</translation>
    </message>
</context>
<context>
    <name>isotonus::PluginDialog</name>
    <message>
        <source>Add a plug-in</source>
        <translation>Plug-in hinzufügen</translation>
    </message>
    <message>
        <source>Words of its name, class or maker</source>
        <translation>Worte aus Name, Klasse oder Hersteller</translation>
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
        <source>Look again</source>
        <translation>Neu suchen</translation>
    </message>
    <message>
        <source>Looks for what is new on this machine. Each is started once, in a process of its own.</source>
        <translation>Sucht nach Neuem auf dieser Maschine. Jedes wird einmal gestartet, in einem eigenen Prozess.</translation>
    </message>
    <message>
        <source>Add</source>
        <translation>Hinzufügen</translation>
    </message>
    <message>
        <source>Cancel</source>
        <translation>Abbrechen</translation>
    </message>
    <message>
        <source>It was here once, and is not installed now.</source>
        <translation>Es war einmal hier und ist jetzt nicht installiert.</translation>
    </message>
    <message>
        <source>It cannot be used: %1.</source>
        <translation>Es kann nicht benutzt werden: %1.</translation>
    </message>
    <message>
        <source>Stop looking</source>
        <translation>Suche anhalten</translation>
    </message>
    <message>
        <source>Looking for plug-ins…</source>
        <translation>Plug-ins werden gesucht…</translation>
    </message>
    <message>
        <source>No plug-in was found on this machine.</source>
        <translation>Auf dieser Maschine wurde kein Plug-in gefunden.</translation>
    </message>
</context>
<context>
    <name>isotonus::RideEditor</name>
    <message>
        <source>This ride in or out, to compare. What is out is not exported either. (/)</source>
        <translation>Diese Fahrt ein oder aus, zum Vergleichen. Was aus ist, wird auch nicht exportiert. (/)</translation>
    </message>
    <message>
        <source>no ride</source>
        <translation>keine Fahrt</translation>
    </message>
    <message numerus="yes">
        <source>%n point(s), %1 at the playhead</source>
        <translation>
            <numerusform>%n Punkt, %1 an der Abspielstelle</numerusform>
            <numerusform>%n Punkte, %1 an der Abspielstelle</numerusform>
        </translation>
    </message>
    <message>
        <source>Ride editor, %1 of %2</source>
        <translation>Fahrt bearbeiten, %1 von %2</translation>
    </message>
    <message>
        <source>in</source>
        <translation>ein</translation>
    </message>
    <message>
        <source>out</source>
        <translation>aus</translation>
    </message>
    <message>
        <source>Ride of %1 in</source>
        <translation>Fahrt von %1 ein</translation>
    </message>
    <message>
        <source>Ride %1: %2</source>
        <translation>Fahrt %1: %2</translation>
    </message>
    <message>
        <source>Ride %1 of %2: %3</source>
        <translation>Fahrt %1 von %2: %3</translation>
    </message>
    <message>
        <source>point to %1, %2</source>
        <translation>Punkt nach %1, %2</translation>
    </message>
    <message>
        <source>move %1 points</source>
        <translation>%1 Punkte verschieben</translation>
    </message>
    <message>
        <source>The blade is what the ride is now. With touch, latch or write, moving it while the song plays writes the ride.</source>
        <translation>Die Klinge ist, was die Fahrt jetzt ist. Mit Touch, Latch oder Write schreibt ihre Bewegung die Fahrt, während der Song spielt.</translation>
    </message>
    <message>
        <source>add point %1, %2</source>
        <translation>Punkt setzen %1, %2</translation>
    </message>
    <message>
        <source>%1 at %2, %3 ride %4. Click adds a point, drag moves it, Ctrl and drag selects.</source>
        <translation>%1 bei %2, %3 Fahrt %4. Klick setzt einen Punkt, Ziehen bewegt ihn, Ctrl und Ziehen wählt.</translation>
    </message>
    <message>
        <source>Drag here to mark a stretch (with Ctrl one more); then drag the curve in it up or down.</source>
        <translation>Ziehe hier, um eine Strecke zu markieren (mit Ctrl eine mehr); dann ziehe die Kurve darin hoch oder runter.</translation>
    </message>
    <message>
        <source>%1 to %2</source>
        <translation>%1 bis %2</translation>
    </message>
    <message>
        <source>a stretch %1</source>
        <translation>eine Strecke %1</translation>
    </message>
    <message>
        <source>%1 to %2: %3</source>
        <translation>%1 bis %2: %3</translation>
    </message>
    <message>
        <source>bend %1</source>
        <translation>Biegung %1</translation>
    </message>
    <message>
        <source>bend %1 (−1 fast first … 1 slow first)</source>
        <translation>Biegung %1 (−1 erst schnell … 1 erst langsam)</translation>
    </message>
    <message>
        <source>%1, %2</source>
        <translation>%1, %2</translation>
    </message>
    <message>
        <source>fill to %1, %2</source>
        <translation>füllen bis %1, %2</translation>
    </message>
    <message>
        <source>point to %1</source>
        <translation>Punkt nach %1</translation>
    </message>
    <message>
        <source>add point at the playhead</source>
        <translation>Punkt an der Abspielstelle setzen</translation>
    </message>
    <message>
        <source>%1  %2</source>
        <translation>%1  %2</translation>
    </message>
    <message>
        <source>%1 of %2%3</source>
        <translation>%1 von %2%3</translation>
    </message>
    <message>
        <source>, out</source>
        <translation>, aus</translation>
    </message>
    <message>
        <source>No ride yet: click to add the first point. Up is louder; 0 dB is the fader&apos;s level.</source>
        <translation>Noch keine Fahrt: ein Klick setzt den ersten Punkt. Oben ist lauter; 0 dB ist der Pegel des Faders.</translation>
    </message>
    <message>
        <source>No ride yet: click to add the first point.</source>
        <translation>Noch keine Fahrt: ein Klick setzt den ersten Punkt.</translation>
    </message>
    <message>
        <source>clear a stretch</source>
        <translation>Strecke leeren</translation>
    </message>
    <message>
        <source>delete a point</source>
        <translation>Punkt löschen</translation>
    </message>
    <message>
        <source>delete %1 points</source>
        <translation>%1 Punkte löschen</translation>
    </message>
    <message>
        <source>line</source>
        <translation>Linie</translation>
    </message>
    <message>
        <source>step</source>
        <translation>Stufe</translation>
    </message>
    <message>
        <source>bend, slow first</source>
        <translation>Biegung, erst langsam</translation>
    </message>
    <message>
        <source>bend, fast first</source>
        <translation>Biegung, erst schnell</translation>
    </message>
    <message>
        <source>S-shape</source>
        <translation>S-Form</translation>
    </message>
    <message>
        <source>lock</source>
        <translation>sperren</translation>
    </message>
    <message>
        <source>unlock</source>
        <translation>entsperren</translation>
    </message>
    <message>
        <source>There is nothing to thin: every point moves the ride by more than %1.</source>
        <translation>Es gibt nichts auszudünnen: jeder Punkt bewegt die Fahrt um mehr als %1.</translation>
    </message>
    <message>
        <source>%1 points of %2</source>
        <translation>%1 Punkte von %2</translation>
    </message>
    <message>
        <source>Mark a stretch in the strip above the curve, or choose two points, to copy.</source>
        <translation>Markiere eine Strecke im Streifen über der Kurve, oder wähle zwei Punkte, um zu kopieren.</translation>
    </message>
    <message numerus="yes">
        <source>%n point(s) copied; Ctrl+V puts them at the playhead.</source>
        <translation>
            <numerusform>%n Punkt kopiert; Ctrl+V setzt ihn an die Abspielstelle.</numerusform>
            <numerusform>%n Punkte kopiert; Ctrl+V setzt sie an die Abspielstelle.</numerusform>
        </translation>
    </message>
    <message>
        <source>paste at %1</source>
        <translation>einfügen bei %1</translation>
    </message>
    <message>
        <source>scale %1 points</source>
        <translation>%1 Punkte skalieren</translation>
    </message>
    <message>
        <source>stretch %1 points</source>
        <translation>%1 Punkte dehnen</translation>
    </message>
    <message>
        <source>The point</source>
        <translation>Der Punkt</translation>
    </message>
    <message>
        <source>Seconds, value, and bend from −1 to 1</source>
        <translation>Sekunden, Wert, und Biegung von −1 bis 1</translation>
    </message>
    <message>
        <source>Seconds, and value</source>
        <translation>Sekunden und Wert</translation>
    </message>
    <message>
        <source>&apos;%1&apos; is not a time in seconds and a value between %2 and %3.</source>
        <translation>»%1« ist keine Zeit in Sekunden und ein Wert zwischen %2 und %3.</translation>
    </message>
</context>
<context>
    <name>isotonus::RideLane</name>
    <message>
        <source>none</source>
        <translation>keiner</translation>
    </message>
    <message>
        <source>%1 %2%3</source>
        <translation>%1 %2%3</translation>
    </message>
    <message numerus="yes">
        <source>%n point(s)</source>
        <translation>
            <numerusform>%n Punkt</numerusform>
            <numerusform>%n Punkte</numerusform>
        </translation>
    </message>
    <message>
        <source> out</source>
        <translation> aus</translation>
    </message>
    <message>
        <source>bypassed</source>
        <translation>umgangen</translation>
    </message>
    <message>
        <source>%1: %2. Click to draw it below; Left and Right lower and raise all of it; Enter trims it by a number.</source>
        <translation>%1: %2. Klicke, um sie unten zu zeichnen; Links und Rechts senken und heben alles davon; Enter trimmt es um eine Zahl.</translation>
    </message>
    <message>
        <source>Ride %1 %2 as a whole</source>
        <translation>Fahrt %1 als Ganzes %2</translation>
    </message>
    <message>
        <source>touch</source>
        <translation>Touch</translation>
    </message>
    <message>
        <source>latch</source>
        <translation>Latch</translation>
    </message>
    <message>
        <source>write</source>
        <translation>Write</translation>
    </message>
    <message>
        <source>ride</source>
        <translation>Fahrt</translation>
    </message>
</context>
<context>
    <name>isotonus::RidePanel</name>
    <message>
        <source>All rides of the session</source>
        <translation>Alle Fahrten der Sitzung</translation>
    </message>
    <message>
        <source>what is ridden</source>
        <translation>was gefahren wird</translation>
    </message>
    <message>
        <source>Its lane; with Ctrl besides those that are shown.</source>
        <translation>Seine Bahn; mit Ctrl neben denen, die zu sehen sind.</translation>
    </message>
    <message>
        <source>how it is written</source>
        <translation>wie es geschrieben wird</translation>
    </message>
    <message>
        <source>read</source>
        <translation>Read</translation>
    </message>
    <message>
        <source>The ride plays; moving a control sets it as ever.</source>
        <translation>Die Fahrt spielt; ein bewegter Regler stellt sie wie immer.</translation>
    </message>
    <message>
        <source>touch</source>
        <translation>Touch</translation>
    </message>
    <message>
        <source>While the song plays, a control that is held is written; let go, it returns to the ride.</source>
        <translation>Während der Song spielt, wird ein gehaltener Regler geschrieben; losgelassen kehrt er zur Fahrt zurück.</translation>
    </message>
    <message>
        <source>latch</source>
        <translation>Latch</translation>
    </message>
    <message>
        <source>Written from the first touch until the song stops.</source>
        <translation>Geschrieben von der ersten Berührung, bis der Song hält.</translation>
    </message>
    <message>
        <source>write</source>
        <translation>Write</translation>
    </message>
    <message>
        <source>Written over from where the song starts until it stops.</source>
        <translation>Überschrieben vom Start des Songs, bis er hält.</translation>
    </message>
    <message>
        <source>With Ctrl for all rows.</source>
        <translation>Mit Ctrl für alle Zeilen.</translation>
    </message>
    <message>
        <source>what is drawn</source>
        <translation>was gezeichnet wird</translation>
    </message>
    <message>
        <source>Bend</source>
        <translation>Biegung</translation>
    </message>
    <message>
        <source>How the ride goes to the next point: line, step, bends, S. (T)</source>
        <translation>Wie die Fahrt zum nächsten Punkt geht: Linie, Stufe, Biegungen, S. (T)</translation>
    </message>
    <message>
        <source>Lock</source>
        <translation>Sperren</translation>
    </message>
    <message>
        <source>A draft leaves locked points, and what lies between them, alone. (L)</source>
        <translation>Ein Entwurf lässt gesperrte Punkte, und was dazwischen liegt, in Ruhe. (L)</translation>
    </message>
    <message>
        <source>Thin</source>
        <translation>Dünnen</translation>
    </message>
    <message>
        <source>Takes away points that hardly move the ride.</source>
        <translation>Nimmt Punkte weg, die die Fahrt kaum bewegen.</translation>
    </message>
    <message>
        <source>Delete</source>
        <translation>Löschen</translation>
    </message>
    <message>
        <source>Takes the selected points, or the marked stretch, away. (Delete)</source>
        <translation>Nimmt die gewählten Punkte oder die markierte Strecke weg. (Entf)</translation>
    </message>
    <message>
        <source>Clear</source>
        <translation>Leeren</translation>
    </message>
    <message>
        <source>Takes the whole ride away; undo brings it back.</source>
        <translation>Nimmt die ganze Fahrt weg; Zurücknehmen bringt sie wieder.</translation>
    </message>
    <message>
        <source>clear</source>
        <translation>leeren</translation>
    </message>
    <message>
        <source>More</source>
        <translation>Mehr</translation>
    </message>
    <message>
        <source>Copy, paste, fill, trim, tables, faders over MIDI.</source>
        <translation>Kopieren, einfügen, füllen, trimmen, Tabellen, Fader über MIDI.</translation>
    </message>
    <message>
        <source>what is proposed</source>
        <translation>was geraten wird</translation>
    </message>
    <message>
        <source>Draft…</source>
        <translation>Entwurf…</translation>
    </message>
    <message>
        <source>A first ride that brings every phrase to one level; points like any others.</source>
        <translation>Eine erste Fahrt, die jede Phrase auf einen Pegel bringt; Punkte wie alle anderen.</translation>
    </message>
    <message>
        <source>Other</source>
        <translation>Andere</translation>
    </message>
    <message>
        <source>Drafts against the mix; fade-out, lift, dips at another track&apos;s hits, tremolo, throw.</source>
        <translation>Entwürfe gegen den Mix; Fade-out, Lift, Senken an den Schlägen einer anderen Spur, Tremolo, Wurf.</translation>
    </message>
    <message>
        <source>family</source>
        <translation>Familie</translation>
    </message>
    <message>
        <source>This lane of all rows of the family.</source>
        <translation>Diese Bahn aller Zeilen der Familie.</translation>
    </message>
    <message>
        <source>bypass</source>
        <translation>aus</translation>
    </message>
    <message>
        <source>As if this row had no rides, to compare; with Ctrl all rows.</source>
        <translation>Als hätte diese Zeile keine Fahrten, zum Vergleichen; mit Ctrl alle Zeilen.</translation>
    </message>
    <message>
        <source>all rides</source>
        <translation>Liste</translation>
    </message>
    <message>
        <source>A list of every ride in the session.</source>
        <translation>Eine Liste jeder Fahrt der Sitzung.</translation>
    </message>
    <message>
        <source>Draft against the rest of the mix…</source>
        <translation>Entwurf gegen den Rest des Mixes…</translation>
    </message>
    <message>
        <source>Draft by what is heard of it…</source>
        <translation>Entwurf nach dem, was davon zu hören ist…</translation>
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
        <source>bend: −1 fast first … 1 slow first</source>
        <translation>Biegung: −1 erst schnell … 1 erst langsam</translation>
    </message>
    <message>
        <source>fade-out from %1</source>
        <translation>Fade-out ab %1</translation>
    </message>
    <message>
        <source>Lift of the section or the marked stretch…</source>
        <translation>Lift des Abschnitts oder der markierten Strecke…</translation>
    </message>
    <message>
        <source>Lift</source>
        <translation>Lift</translation>
    </message>
    <message>
        <source>by</source>
        <translation>um</translation>
    </message>
    <message>
        <source>edges, s</source>
        <translation>Kanten, s</translation>
    </message>
    <message>
        <source>lift %1</source>
        <translation>Lift %1</translation>
    </message>
    <message>
        <source>Dips around the hits of another track…</source>
        <translation>Senken bei den Schlägen einer anderen Spur…</translation>
    </message>
    <message>
        <source>Tremolo on the grid…</source>
        <translation>Tremolo im Raster…</translation>
    </message>
    <message>
        <source>Throw: up for the marked words only…</source>
        <translation>Wurf: nur für die markierten Worte hoch…</translation>
    </message>
    <message>
        <source>Mark the words first: drag in the strip above the curve, with Ctrl the next ones too.</source>
        <translation>Markiere zuerst die Worte: Ziehen im Streifen über der Kurve, mit Ctrl auch die nächsten.</translation>
    </message>
    <message>
        <source>Throw</source>
        <translation>Wurf</translation>
    </message>
    <message>
        <source>up by</source>
        <translation>hoch um</translation>
    </message>
    <message>
        <source>edges, ms</source>
        <translation>Kanten, ms</translation>
    </message>
    <message>
        <source>throw</source>
        <translation>Wurf</translation>
    </message>
    <message>
        <source>Copy the marked stretch (Ctrl+C)</source>
        <translation>Markierte Strecke kopieren (Ctrl+C)</translation>
    </message>
    <message>
        <source>Paste at the playhead (Ctrl+V)</source>
        <translation>An der Abspielstelle einfügen (Ctrl+V)</translation>
    </message>
    <message>
        <source>Paste at a section</source>
        <translation>An einem Abschnitt einfügen</translation>
    </message>
    <message>
        <source>Fill with the value at the playhead to the end</source>
        <translation>Mit dem Wert der Abspielstelle bis zum Ende füllen</translation>
    </message>
    <message>
        <source>Fill with the value at the playhead to the loop&apos;s end</source>
        <translation>Mit dem Wert der Abspielstelle bis zum Ende des Loops füllen</translation>
    </message>
    <message>
        <source>There is no loop that ends after the playhead.</source>
        <translation>Es gibt keinen Loop, der nach der Abspielstelle endet.</translation>
    </message>
    <message>
        <source>Show all values</source>
        <translation>Alle Werte zeigen</translation>
    </message>
    <message>
        <source>Trim the whole ride…</source>
        <translation>Die ganze Fahrt trimmen…</translation>
    </message>
    <message>
        <source>Trim of the ride</source>
        <translation>Trim der Fahrt</translation>
    </message>
    <message>
        <source>trim %1</source>
        <translation>Trim %1</translation>
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
        <translation>Punkte als Tabelle sichern (CSV)…</translation>
    </message>
    <message>
        <source>Points from a table (CSV)…</source>
        <translation>Punkte aus einer Tabelle (CSV)…</translation>
    </message>
    <message>
        <source>Simulated fader box</source>
        <translation>Nachgebildete Faderbox</translation>
    </message>
    <message>
        <source>Learn: the next fader moves this</source>
        <translation>Lernen: der nächste Fader bewegt dies</translation>
    </message>
    <message>
        <source>Faders over MIDI</source>
        <translation>Fader über MIDI</translation>
    </message>
    <message>
        <source>no MIDI device is there</source>
        <translation>kein MIDI-Gerät da</translation>
    </message>
    <message>
        <source>A control group has a level and a mute to ride.</source>
        <translation>Bei einer Regelgruppe lassen sich Pegel und Stummschaltung fahren.</translation>
    </message>
    <message>
        <source>%1 · %2 · %3, %4 to %5%6</source>
        <translation>%1 · %2 · %3, %4 bis %5%6</translation>
    </message>
    <message numerus="yes">
        <source>%n point(s)</source>
        <translation>
            <numerusform>%n Punkt</numerusform>
            <numerusform>%n Punkte</numerusform>
        </translation>
    </message>
    <message>
        <source> · out</source>
        <translation> · aus</translation>
    </message>
    <message>
        <source>Nothing is ridden yet.</source>
        <translation>Noch wird nichts gefahren.</translation>
    </message>
    <message>
        <source>A draft is made for a track: choose one.</source>
        <translation>Ein Entwurf entsteht für eine Spur: wähle eine.</translation>
    </message>
    <message>
        <source>Listening to the tracks first; the draft comes then.</source>
        <translation>Die Spuren werden zuerst angehört; dann kommt der Entwurf.</translation>
    </message>
    <message>
        <source>There is no phrase to ride in this track.</source>
        <translation>In dieser Spur gibt es keine Phrase zu fahren.</translation>
    </message>
    <message>
        <source>level of each phrase after the trim, dBFS AES17</source>
        <translation>Pegel jeder Phrase nach dem Trim, dBFS AES17</translation>
    </message>
    <message>
        <source>each phrase above the rest, dB (K-weighted)</source>
        <translation>jede Phrase über dem Rest, dB (K-gewichtet)</translation>
    </message>
    <message>
        <source>heard of its bands in each phrase, %</source>
        <translation>von ihren Bändern in jeder Phrase zu hören, %</translation>
    </message>
    <message>
        <source>Ride draft</source>
        <translation>Entwurf einer Fahrt</translation>
    </message>
    <message>
        <source>Ride draft against the rest</source>
        <translation>Entwurf gegen den Rest</translation>
    </message>
    <message>
        <source>Ride draft by what is heard</source>
        <translation>Entwurf nach dem, was zu hören ist</translation>
    </message>
    <message>
        <source>leave alone within, ± dB</source>
        <translation>in Ruhe lassen innerhalb, ± dB</translation>
    </message>
    <message>
        <source>depth, %</source>
        <translation>Tiefe, %</translation>
    </message>
    <message>
        <source>at most up, dB</source>
        <translation>höchstens hoch, dB</translation>
    </message>
    <message>
        <source>at most down, dB</source>
        <translation>höchstens runter, dB</translation>
    </message>
    <message>
        <source>silence: below the loudest by, dB</source>
        <translation>Stille: unter dem Lautesten um, dB</translation>
    </message>
    <message>
        <source>leave alone (breaths) shorter than, s</source>
        <translation>in Ruhe lassen (Atmer), kürzer als, s</translation>
    </message>
    <message>
        <source>follow longer phrases in parts of, s</source>
        <translation>längeren Phrasen folgen in Teilen von, s</translation>
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
        <source>tremolo</source>
        <translation>Tremolo</translation>
    </message>
    <message>
        <source>Bypass all rides</source>
        <translation>Alle Fahrten umgehen</translation>
    </message>
    <message>
        <source>All rides again</source>
        <translation>Alle Fahrten wieder</translation>
    </message>
    <message>
        <source>Bypass the rides of %1</source>
        <translation>Fahrten von %1 umgehen</translation>
    </message>
    <message>
        <source>The rides of %1 again</source>
        <translation>Fahrten von %1 wieder</translation>
    </message>
    <message>
        <source>The ride as a table</source>
        <translation>Die Fahrt als Tabelle</translation>
    </message>
    <message>
        <source>CSV (*.csv)</source>
        <translation>CSV (*.csv)</translation>
    </message>
    <message>
        <source>A ride from a table</source>
        <translation>Eine Fahrt aus einer Tabelle</translation>
    </message>
    <message>
        <source>from %1</source>
        <translation>aus %1</translation>
    </message>
    <message>
        <source>Choose a row</source>
        <translation>Wähle eine Zeile</translation>
    </message>
    <message>
        <source>Rides of %1</source>
        <translation>Fahrten von %1</translation>
    </message>
    <message>
        <source>how closely</source>
        <translation>wie genau</translation>
    </message>
    <message>
        <source>light: half of the difference</source>
        <translation>leicht: die Hälfte des Unterschieds</translation>
    </message>
    <message>
        <source>even</source>
        <translation>gleichmäßig</translation>
    </message>
    <message>
        <source>tight: all of it, in short parts</source>
        <translation>eng: ganz, in kurzen Abschnitten</translation>
    </message>
    <message>
        <source>by the figures below</source>
        <translation>nach den Werten darunter</translation>
    </message>
</context>
<context>
    <name>isotonus::RideView</name>
    <message>
        <source>%1 of the send to %2</source>
        <translation>%1 des Sends nach %2</translation>
    </message>
    <message>
        <source>%1 of %2: its ride is shown.</source>
        <translation>%1 von %2: die Fahrt ist zu sehen.</translation>
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
        <source>keys</source>
        <translation>Tasten</translation>
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
        <translation>%1 nicht mehr stumm</translation>
    </message>
    <message>
        <source>Solo %1</source>
        <translation>Solo %1</translation>
    </message>
    <message>
        <source>Solo %1 off</source>
        <translation>Solo %1 aus</translation>
    </message>
    <message>
        <source>Mute: this track is not heard, nor exported. (M)</source>
        <translation>Stumm: diese Spur ist nicht zu hören und wird nicht exportiert. (M)</translation>
    </message>
    <message>
        <source>Solo: only soloed tracks are heard. Good for finding a fault; balance with everything playing. (S; a click with Ctrl solos it alone)</source>
        <translation>Solo: nur Solo-Spuren sind zu hören. Gut, um einen Fehler zu finden; die Balance macht man mit allem. (S; ein Klick mit Ctrl macht sie allein solo)</translation>
    </message>
    <message>
        <source>Solo %1, which is solo safe</source>
        <translation>Solo %1, die solo-fest ist</translation>
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
        <source>, mono</source>
        <translation>, mono</translation>
    </message>
    <message>
        <source>, stereo</source>
        <translation>, stereo</translation>
    </message>
    <message>
        <source>reading…</source>
        <translation>wird gelesen…</translation>
    </message>
    <message>
        <source>Name of the row</source>
        <translation>Name der Zeile</translation>
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
        <source>What to remember of this track</source>
        <translation>Was von dieser Spur zu merken ist</translation>
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
        <translation>Familie »%1« falten</translation>
    </message>
    <message>
        <source>Ink</source>
        <translation>Tinte</translation>
    </message>
    <message>
        <source>Ink %1</source>
        <translation>Tinte %1</translation>
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
        <source>folded to stereo</source>
        <translation>auf Stereo gefaltet</translation>
    </message>
    <message>
        <source>as recorded</source>
        <translation>wie aufgenommen</translation>
    </message>
    <message>
        <source>sides swapped</source>
        <translation>Seiten getauscht</translation>
    </message>
    <message>
        <source>mono: both sides</source>
        <translation>mono: beide Seiten</translation>
    </message>
    <message>
        <source>left side alone</source>
        <translation>linke Seite allein</translation>
    </message>
    <message>
        <source>right side alone</source>
        <translation>rechte Seite allein</translation>
    </message>
    <message>
        <source>channel %1 alone</source>
        <translation>Kanal %1 allein</translation>
    </message>
    <message numerus="yes">
        <source>split into %n mono tracks</source>
        <translation>
            <numerusform>in %n Mono-Spur teilen</numerusform>
            <numerusform>in %n Mono-Spuren teilen</numerusform>
        </translation>
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
        <source>Keep the low end in the centre</source>
        <translation>Die Tiefen in der Mitte halten</translation>
    </message>
    <message>
        <source>below %1 Hz</source>
        <translation>unter %1 Hz</translation>
    </message>
    <message>
        <source>as it is</source>
        <translation>wie es ist</translation>
    </message>
    <message>
        <source>Low end centred below %1 Hz</source>
        <translation>Tiefen unter %1 Hz in der Mitte</translation>
    </message>
    <message>
        <source>Low end as it is</source>
        <translation>Tiefen, wie sie sind</translation>
    </message>
    <message>
        <source>below another frequency…</source>
        <translation>unter einer anderen Frequenz…</translation>
    </message>
    <message>
        <source>below, Hz: 40 … 500</source>
        <translation>unter, Hz: 40 … 500</translation>
    </message>
    <message>
        <source>Hear only what is centred</source>
        <translation>Nur hören, was in der Mitte gehalten wird</translation>
    </message>
    <message>
        <source>Place left and right apart</source>
        <translation>Links und rechts getrennt platzieren</translation>
    </message>
    <message>
        <source>Sides together</source>
        <translation>Seiten zusammen</translation>
    </message>
    <message>
        <source>Sides apart</source>
        <translation>Seiten getrennt</translation>
    </message>
    <message>
        <source>Leads to</source>
        <translation>Führt nach</translation>
    </message>
    <message>
        <source>the main output</source>
        <translation>zur Summe</translation>
    </message>
    <message>
        <source>Solo safe</source>
        <translation>Solo-fest</translation>
    </message>
    <message>
        <source>Solo safe off</source>
        <translation>Solo-fest aus</translation>
    </message>
    <message>
        <source>Invert polarity</source>
        <translation>Polarität drehen</translation>
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
        <translation>Darf die Decke überschreiten</translation>
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
        <source>its mute is ridden</source>
        <translation>Stummschaltung automatisiert</translation>
    </message>
    <message>
        <source>%1: %2</source>
        <translation>%1: %2</translation>
    </message>
</context>
<context>
    <name>isotonus::SendForm</name>
    <message>
        <source>level</source>
        <translation>Pegel</translation>
    </message>
    <message>
        <source> dB</source>
        <translation> dB</translation>
    </message>
    <message>
        <source>off</source>
        <translation>aus</translation>
    </message>
    <message>
        <source>How much of this row goes there.</source>
        <translation>Wie viel von dieser Zeile dorthin geht.</translation>
    </message>
    <message>
        <source>taken</source>
        <translation>genommen</translation>
    </message>
    <message>
        <source>after the fader</source>
        <translation>nach dem Fader</translation>
    </message>
    <message>
        <source>before the fader</source>
        <translation>vor dem Fader</translation>
    </message>
    <message>
        <source>After the fader the return follows the row; before it, it stays when the row is pulled down.</source>
        <translation>Nach dem Fader folgt der Return der Zeile; davor bleibt er, wenn die Zeile heruntergezogen wird.</translation>
    </message>
    <message>
        <source>placed</source>
        <translation>platziert</translation>
    </message>
    <message>
        <source>as the row is</source>
        <translation>wie die Zeile</translation>
    </message>
    <message>
        <source>by a pan of its own</source>
        <translation>durch einen eigenen Pan</translation>
    </message>
    <message>
        <source>pan</source>
        <translation>Pan</translation>
    </message>
    <message>
        <source>−1 left, 0 centre, +1 right.</source>
        <translation>−1 links, 0 Mitte, +1 rechts.</translation>
    </message>
    <message>
        <source>Throw in the loop</source>
        <translation>Wurf im Loop</translation>
    </message>
    <message>
        <source>A ride that opens this send in the loop alone: one word, one hit. Set the loop first.</source>
        <translation>Eine Fahrt, die diesen Send nur im Loop öffnet: ein Wort, ein Schlag. Setze zuerst den Loop.</translation>
    </message>
    <message>
        <source>Ride</source>
        <translation>Fahren</translation>
    </message>
    <message>
        <source>Its level in Ride, to be drawn or written.</source>
        <translation>Sein Pegel unter Fahren, zum Zeichnen oder Schreiben.</translation>
    </message>
    <message>
        <source>Drag over the song map with Shift for a loop around the word first.</source>
        <translation>Ziehe zuerst mit Shift über die Songkarte für einen Loop um das Wort.</translation>
    </message>
    <message>
        <source>Throw to %1 at %2</source>
        <translation>Wurf nach %1 bei %2</translation>
    </message>
    <message>
        <source>Its lane is open in Ride (Alt+5).</source>
        <translation>Seine Bahn ist unter Fahren (Alt+5) offen.</translation>
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
        <source>Short blocks answer faster; long ones are safer on a busy machine.</source>
        <translation>Kurze Blöcke antworten schneller; lange sind auf einer beschäftigten Maschine sicherer.</translation>
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
        <source>plain RMS: a full-scale sine reads −3.0 dBFS</source>
        <translation>einfacher RMS: ein Sinus mit Vollaussteuerung liest −3.0 dBFS</translation>
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
        <source>Low rows show more of a large session at once.</source>
        <translation>Niedrige Zeilen zeigen mehr von einer großen Sitzung.</translation>
    </message>
    <message>
        <source>Rows are high</source>
        <translation>Höhe der Zeilen</translation>
    </message>
    <message>
        <source>Dim</source>
        <translation>Dim</translation>
    </message>
    <message>
        <source>How much lower the dim switch makes it.</source>
        <translation>Wie viel leiser Dim es macht.</translation>
    </message>
    <message>
        <source>Quiet check</source>
        <translation>Leiseprobe</translation>
    </message>
    <message>
        <source>How much lower the quiet check makes it: far enough that the weakest vanish.</source>
        <translation>Wie viel leiser die Leiseprobe es macht: so weit, dass das Schwächste verschwindet.</translation>
    </message>
    <message>
        <source>The rest, while listening to rows</source>
        <translation>Der Rest, während Zeilen angehört werden</translation>
    </message>
    <message>
        <source>How far the rest of the mix steps back.</source>
        <translation>Wie weit der Rest des Mixes zurücktritt.</translation>
    </message>
    <message>
        <source>the rest is silent</source>
        <translation>der Rest ist still</translation>
    </message>
    <message>
        <source>the rest steps back as far</source>
        <translation>der Rest tritt ebenso weit zurück</translation>
    </message>
    <message>
        <source>A return is often judged better over a quiet mix than alone.</source>
        <translation>Ein Return lässt sich über einem leisen Mix oft besser beurteilen als allein.</translation>
    </message>
    <message>
        <source>While a bus or a return is heard</source>
        <translation>Während ein Bus oder Return gehört wird</translation>
    </message>
    <message>
        <source>A mix of −18 dBFS is heard at</source>
        <translation>Ein Mix von −18 dBFS ist zu hören mit</translation>
    </message>
    <message>
        <source>Where your loudspeakers stand: audibility is computed for it.</source>
        <translation>Wie laut deine Lautsprecher stehen: die Hörbarkeit wird dafür gerechnet.</translation>
    </message>
    <message>
        <source>equal power: −3.0 dB in the centre</source>
        <translation>gleiche Leistung: −3.0 dB in der Mitte</translation>
    </message>
    <message>
        <source>compromise: −4.5 dB in the centre</source>
        <translation>Kompromiss: −4.5 dB in der Mitte</translation>
    </message>
    <message>
        <source>linear: −6.0 dB in the centre</source>
        <translation>linear: −6.0 dB in der Mitte</translation>
    </message>
    <message>
        <source>balance: 0.0 dB in the centre</source>
        <translation>Balance: 0.0 dB in der Mitte</translation>
    </message>
    <message>
        <source>How loud a sound is in the centre against the sides: of this session, and of its exports.</source>
        <translation>Wie laut ein Klang in der Mitte gegen die Seiten ist: in dieser Sitzung und ihren Exporten.</translation>
    </message>
    <message>
        <source>Pan law of the session</source>
        <translation>Pan-Gesetz der Sitzung</translation>
    </message>
    <message>
        <source>Measurements and converted files are kept up to this much; what was not used for longest goes.</source>
        <translation>Messungen und gewandelte Dateien werden bis zu dieser Größe behalten; was am längsten nicht gebraucht wurde, geht.</translation>
    </message>
    <message>
        <source>Empty it now</source>
        <translation>Jetzt leeren</translation>
    </message>
    <message>
        <source>All but what was used within the last hour; it is made again when it is needed.</source>
        <translation>Alles außer dem, was in der letzten Stunde gebraucht wurde; es entsteht neu, wenn es gebraucht wird.</translation>
    </message>
    <message>
        <source>Cache at most</source>
        <translation>Zwischenspeicher höchstens</translation>
    </message>
    <message>
        <source>%1 are left</source>
        <translation>%1 sind übrig</translation>
    </message>
    <message>
        <source>as the system&apos;s</source>
        <translation>wie das System</translation>
    </message>
    <message>
        <source>From the next start on.</source>
        <translation>Ab dem nächsten Start.</translation>
    </message>
    <message>
        <source>Language</source>
        <translation>Sprache</translation>
    </message>
    <message>
        <source>night colours</source>
        <translation>Nachtfarben</translation>
    </message>
    <message>
        <source>Pan law: %1</source>
        <translation>Pan-Gesetz: %1</translation>
    </message>
</context>
<context>
    <name>isotonus::ShapeLane</name>
    <message>
        <source>off</source>
        <translation>aus</translation>
    </message>
    <message>
        <source> It sends %1 to %2%3%4.</source>
        <translation> Sie sendet %1 nach %2%3%4.</translation>
    </message>
    <message>
        <source>, before the fader</source>
        <translation>, vor dem Fader</translation>
    </message>
    <message>
        <source> (out)</source>
        <translation> (aus)</translation>
    </message>
    <message>
        <source>%1 has no processors. Type a frequency for a low cut, or add one below.</source>
        <translation>%1 hat keine Prozessoren. Gib eine Frequenz für einen Low Cut ein, oder füge unten einen hinzu.</translation>
    </message>
    <message>
        <source>%1 (of a newer version, does nothing)</source>
        <translation>%1 (einer neueren Version, tut nichts)</translation>
    </message>
    <message>
        <source> out</source>
        <translation> aus</translation>
    </message>
    <message>
        <source>%1: %2</source>
        <translation>%1: %2</translation>
    </message>
    <message>
        <source>; %1 takes most %2 dB at %3, %4 dB while it works</source>
        <translation>; %1 nimmt höchstens %2 dB bei %3, %4 dB während er arbeitet</translation>
    </message>
    <message>
        <source>Low cut of %1</source>
        <translation>Low Cut von %1</translation>
    </message>
    <message>
        <source>A low cut lies between 20 Hz and 20 kHz; &apos;off&apos; takes it away.</source>
        <translation>Ein Low Cut liegt zwischen 20 Hz und 20 kHz; »off« nimmt ihn weg.</translation>
    </message>
    <message>
        <source>Low cut of %1 %2</source>
        <translation>Low Cut von %1 %2</translation>
    </message>
    <message>
        <source>%1 processors, %2 out</source>
        <translation>%1 Prozessoren, %2 aus</translation>
    </message>
    <message>
        <source>%1 processors</source>
        <translation>%1 Prozessoren</translation>
    </message>
    <message>
        <source>low cut</source>
        <translation>Low Cut</translation>
    </message>
</context>
<context>
    <name>isotonus::ShapePanel</name>
    <message>
        <source>Processors of the chosen row, in order</source>
        <translation>Prozessoren der gewählten Zeile, der Reihe nach</translation>
    </message>
    <message>
        <source>Add</source>
        <translation>Hinzufügen</translation>
    </message>
    <message>
        <source>A processor at the end of the chain, or a send to a bus.</source>
        <translation>Ein Prozessor am Ende der Kette, oder ein Send an einen Bus.</translation>
    </message>
    <message>
        <source>In/out</source>
        <translation>Ein/aus</translation>
    </message>
    <message>
        <source>The chosen processor in or out, at one loudness. (F7)</source>
        <translation>Den gewählten Prozessor ein oder aus, bei gleicher Lautheit. (F7)</translation>
    </message>
    <message>
        <source>Remove</source>
        <translation>Entfernen</translation>
    </message>
    <message>
        <source>The chosen processor, and its rides.</source>
        <translation>Den gewählten Prozessor und seine Fahrten.</translation>
    </message>
    <message>
        <source>Earlier in the chain.</source>
        <translation>Früher in der Kette.</translation>
    </message>
    <message>
        <source>Later in the chain.</source>
        <translation>Später in der Kette.</translation>
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
        <source>Chains kept under a name, and this one copied to other rows.</source>
        <translation>Ketten unter einem Namen, und diese in andere Zeilen kopiert.</translation>
    </message>
    <message>
        <source>Advice</source>
        <translation>Rat</translation>
    </message>
    <message>
        <source>Take</source>
        <translation>Nehmen</translation>
    </message>
    <message>
        <source>Makes it ordinary settings; one undo step.</source>
        <translation>Macht daraus gewöhnliche Einstellungen; ein Schritt zum Zurücknehmen.</translation>
    </message>
    <message>
        <source>Leave</source>
        <translation>Verlassen</translation>
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
        <source>Beside it, in parallel</source>
        <translation>Daneben, parallel</translation>
    </message>
    <message>
        <source>Copy this chain</source>
        <translation>Diese Kette kopieren</translation>
    </message>
    <message>
        <source>Paste to the chosen rows</source>
        <translation>In die gewählten Zeilen einfügen</translation>
    </message>
    <message>
        <source>Paste a chain</source>
        <translation>Kette einfügen</translation>
    </message>
    <message>
        <source>Keep this chain as…</source>
        <translation>Diese Kette behalten als…</translation>
    </message>
    <message>
        <source>Keep a chain</source>
        <translation>Kette behalten</translation>
    </message>
    <message>
        <source>Its name</source>
        <translation>Sein Name</translation>
    </message>
    <message>
        <source>my chain</source>
        <translation>meine Kette</translation>
    </message>
    <message>
        <source>yours</source>
        <translation>deine</translation>
    </message>
    <message>
        <source>any row</source>
        <translation>jede Zeile</translation>
    </message>
    <message>
        <source>Forget one…</source>
        <translation>Eine vergessen…</translation>
    </message>
    <message>
        <source>Forget a chain</source>
        <translation>Kette vergessen</translation>
    </message>
    <message>
        <source>Which one</source>
        <translation>Welche</translation>
    </message>
    <message>
        <source>Low cut for the chosen rows</source>
        <translation>Low Cut für die gewählten Zeilen</translation>
    </message>
    <message>
        <source>Low cut back by 12 %</source>
        <translation>Low Cut um 12 % zurück</translation>
    </message>
    <message>
        <source>Hear only what the chosen processor takes</source>
        <translation>Nur hören, was der gewählte Prozessor wegnimmt</translation>
    </message>
    <message>
        <source>Where it rings</source>
        <translation>Wo es klingelt</translation>
    </message>
    <message>
        <source>Reduction wanted…</source>
        <translation>Gewünschte Reduktion…</translation>
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
        <source>or at most, dB (0: does not matter)</source>
        <translation>oder höchstens, dB (0: egal)</translation>
    </message>
    <message>
        <source>Make-up: the %1 dB that it takes while it works</source>
        <translation>Ausgleich: die %1 dB, die er wegnimmt, während er arbeitet</translation>
    </message>
    <message>
        <source>Make-up: as much as it takes while it works</source>
        <translation>Ausgleich: so viel, wie er wegnimmt, während er arbeitet</translation>
    </message>
    <message>
        <source>Make room for it in the others</source>
        <translation>In den anderen Platz dafür machen</translation>
    </message>
    <message>
        <source>What covers it, and where</source>
        <translation>Was sie verdeckt, und wo</translation>
    </message>
    <message>
        <source>Make way for another row…</source>
        <translation>Einer anderen Zeile Platz machen…</translation>
    </message>
    <message>
        <source>Make way as advised for</source>
        <translation>Wie geraten Platz machen für</translation>
    </message>
    <message>
        <source>%1 %2%3</source>
        <translation>%1 %2%3</translation>
    </message>
    <message>
        <source> (cannot run)</source>
        <translation> (läuft nicht)</translation>
    </message>
    <message>
        <source> (out)</source>
        <translation> (aus)</translation>
    </message>
    <message>
        <source>to %1  %2%3</source>
        <translation>nach %1  %2%3</translation>
    </message>
    <message>
        <source>it is not installed</source>
        <translation>es ist nicht installiert</translation>
    </message>
    <message>
        <source>No processor is chosen. Add one, or double click the picture for a band of the equaliser.</source>
        <translation>Kein Prozessor ist gewählt. Füge einen hinzu, oder doppelklicke das Bild für ein Band des Equalizers.</translation>
    </message>
    <message>
        <source>This plug-in is not installed. It is kept, and lets through what comes in.</source>
        <translation>Dieses Plug-in ist nicht installiert. Es bleibt und lässt durch, was kommt.</translation>
    </message>
    <message>
        <source>A newer version made this. It is kept, and does nothing here.</source>
        <translation>Eine neuere Version hat dies gemacht. Es bleibt und tut hier nichts.</translation>
    </message>
    <message>
        <source>Cannot run: %1.</source>
        <translation>Läuft nicht: %1.</translation>
    </message>
    <message>
        <source>Try again</source>
        <translation>Noch einmal versuchen</translation>
    </message>
    <message>
        <source>Room of its own</source>
        <translation>Eigener Raum</translation>
    </message>
    <message>
        <source>Room from %1</source>
        <translation>Raum aus %1</translation>
    </message>
    <message>
        <source>computed</source>
        <translation>gerechnet</translation>
    </message>
    <message>
        <source>An impulse response from a file (WAV, FLAC) in place of the computed room.</source>
        <translation>Eine Impulsantwort aus einer Datei (WAV, FLAC) anstelle des gerechneten Raums.</translation>
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
        <translation>Gerechnet</translation>
    </message>
    <message>
        <source>room</source>
        <translation>Raum</translation>
    </message>
    <message>
        <source>itself</source>
        <translation>sich selbst</translation>
    </message>
    <message>
        <source>The row whose level this one listens to, before its fader.</source>
        <translation>Die Zeile, auf deren Pegel vor ihrem Fader dieser hört.</translation>
    </message>
    <message>
        <source>Listen to %1</source>
        <translation>Auf %1 hören</translation>
    </message>
    <message>
        <source>listens to</source>
        <translation>hört auf</translation>
    </message>
    <message>
        <source>A number, or a note value at the tempo of the playhead: 1/8, 1/8. or 1/8t.</source>
        <translation>Eine Zahl, oder ein Notenwert im Tempo der Abspielstelle: 1/8, 1/8. oder 1/8t.</translation>
    </message>
    <message>
        <source>What the whole song says about this row; nothing changes unasked. (F4)</source>
        <translation>Was der ganze Song über diese Zeile sagt; nichts ändert sich ungefragt. (F4)</translation>
    </message>
    <message>
        <source>%1, off</source>
        <translation>%1, aus</translation>
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
        <source>%1 has a chain already. Put &apos;%2&apos; behind it, or in its place?</source>
        <translation>%1 hat schon eine Kette. „%2“ dahinter setzen oder an ihre Stelle?</translation>
    </message>
    <message>
        <source>There is a chain already</source>
        <translation>Es gibt schon eine Kette</translation>
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
        <source>Its strongest note out of the others</source>
        <translation>Ihren stärksten Ton aus den anderen nehmen</translation>
    </message>
    <message>
        <source>none</source>
        <translation>keine</translation>
    </message>
</context>
<context>
    <name>isotonus::ShapePicture</name>
    <message>
        <source>Frequencies of the chosen row</source>
        <translation>Frequenzen der gewählten Zeile</translation>
    </message>
    <message>
        <source>%1 at %2 Hz</source>
        <translation>%1 bei %2 Hz</translation>
    </message>
    <message>
        <source>band %1: %2 at %3 Hz</source>
        <translation>Band %1: %2 bei %3 Hz</translation>
    </message>
    <message>
        <source>nothing is filtered</source>
        <translation>nichts wird gefiltert</translation>
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
        <source>bars: decay by 60 dB, by octave</source>
        <translation>Balken: Abfall um 60 dB, je Oktave</translation>
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
        <source>  covered %1 % of the time, most by %2</source>
        <translation>  zu %1 % der Zeit verdeckt, am meisten von %2</translation>
    </message>
    <message>
        <source>Remove band %1</source>
        <translation>Band %1 entfernen</translation>
    </message>
    <message>
        <source>  %1 % is its own</source>
        <translation>  %1 % davon gehören ihr</translation>
    </message>
    <message>
        <source>, %1 % %2&apos;s</source>
        <translation>, %1 % %2</translation>
    </message>
</context>
<context>
    <name>isotonus::SheetDialog</name>
    <message>
        <source>sample peak</source>
        <translation>Sample-Spitze</translation>
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
        <source>Keep as my own…</source>
        <translation>Als mein eigenes behalten…</translation>
    </message>
    <message>
        <source>Keeps what stands here under a name, for other sessions too.</source>
        <translation>Behält, was hier steht, unter einem Namen, auch für andere Sitzungen.</translation>
    </message>
    <message>
        <source>Import…</source>
        <translation>Importieren…</translation>
    </message>
    <message>
        <source>A sheet from a JSON file.</source>
        <translation>Ein Blatt aus einer JSON-Datei.</translation>
    </message>
    <message>
        <source>Export…</source>
        <translation>Exportieren…</translation>
    </message>
    <message>
        <source>What stands here as a JSON file.</source>
        <translation>Was hier steht, als JSON-Datei.</translation>
    </message>
    <message>
        <source>The first line that fits a track gives its window; empty fields fit all. The last two lines are for what no other line fits.</source>
        <translation>Die erste Zeile, die auf eine Spur passt, gibt ihr Fenster; leere Felder passen auf alles. Die letzten zwei Zeilen sind für alles, worauf keine andere passt.</translation>
    </message>
    <message>
        <source>word in the name</source>
        <translation>Wort im Namen</translation>
    </message>
    <message>
        <source>family</source>
        <translation>Familie</translation>
    </message>
    <message>
        <source>kind</source>
        <translation>Art</translation>
    </message>
    <message>
        <source>measure</source>
        <translation>Maß</translation>
    </message>
    <message>
        <source>from</source>
        <translation>von</translation>
    </message>
    <message>
        <source>aim</source>
        <translation>Ziel</translation>
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
        <source>A window for some tracks only.</source>
        <translation>Ein Fenster nur für einige Spuren.</translation>
    </message>
    <message>
        <source>Remove the line</source>
        <translation>Zeile entfernen</translation>
    </message>
    <message>
        <source>Takes the chosen line away.</source>
        <translation>Nimmt die gewählte Zeile weg.</translation>
    </message>
    <message>
        <source>Peak ceiling, dBFS</source>
        <translation>Decke für Spitzen, dBFS</translation>
    </message>
    <message>
        <source>Mains from</source>
        <translation>Summe von</translation>
    </message>
    <message>
        <source>count spikes</source>
        <translation>Ausreißer zählen</translation>
    </message>
    <message>
        <source>Off: a track&apos;s peak is what remains without the up to three short moments that alone set it.</source>
        <translation>Aus: die Spitze einer Spur ist, was ohne die bis zu drei kurzen Momente bleibt, die allein sie setzen.</translation>
    </message>
    <message>
        <source>Use</source>
        <translation>Benutzen</translation>
    </message>
    <message>
        <source>any</source>
        <translation>beliebig</translation>
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
        <source>Keep the sheet</source>
        <translation>Blatt behalten</translation>
    </message>
    <message>
        <source>Its name</source>
        <translation>Sein Name</translation>
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
        <translation>Zielblatt »%1«</translation>
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
        <source>, in %1</source>
        <translation>, in %1</translation>
    </message>
    <message>
        <source>, looping %1 to %2</source>
        <translation>, Loop von %1 bis %2</translation>
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
        <source>Drag moves where this section starts; a right click renames or removes it.</source>
        <translation>Ziehen verschiebt den Anfang dieses Abschnitts; ein Rechtsklick benennt ihn um oder entfernt ihn.</translation>
    </message>
    <message>
        <source>%1. Click to go there, Shift and drag to loop (over names: whole sections), double click to loop a section, wheel to zoom; right click for sections.</source>
        <translation>%1. Klick geht dorthin, Shift und Ziehen macht einen Loop (über Namen: ganze Abschnitte), Doppelklick einen Loop über einen Abschnitt, das Rad zoomt; Rechtsklick für Abschnitte.</translation>
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
        <source>Untick the note</source>
        <translation>Notiz wieder offen</translation>
    </message>
    <message>
        <source>Tick the note off</source>
        <translation>Notiz abhaken</translation>
    </message>
    <message>
        <source>Untick a note</source>
        <translation>Notiz wieder offen</translation>
    </message>
    <message>
        <source>Tick a note off</source>
        <translation>Notiz abhaken</translation>
    </message>
    <message>
        <source>Remove the note</source>
        <translation>Notiz entfernen</translation>
    </message>
    <message>
        <source>Rename &apos;%1&apos;…</source>
        <translation>»%1« umbenennen…</translation>
    </message>
    <message>
        <source>Ink of &apos;%1&apos;</source>
        <translation>Tinte von »%1«</translation>
    </message>
    <message>
        <source>Ink %1</source>
        <translation>Tinte %1</translation>
    </message>
    <message>
        <source>Remove &apos;%1&apos;</source>
        <translation>»%1« entfernen</translation>
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
        <source>reading %1 files, Esc stops</source>
        <translation>%1 Dateien werden gelesen, Esc hält an</translation>
    </message>
    <message>
        <source>zoomed: %1 to %2</source>
        <translation>gezoomt: %1 bis %2</translation>
    </message>
    <message>
        <source>wheel zooms, Shift and drag loops</source>
        <translation>Rad zoomt, Shift und Ziehen: Loop</translation>
    </message>
</context>
<context>
    <name>isotonus::SpectrumPicture</name>
    <message>
        <source>Spectrum of the mix</source>
        <translation>Spektrum des Mixes</translation>
    </message>
    <message>
        <source>The mix less what it is beside</source>
        <translation>Der Mix abzüglich dessen, was daneben steht</translation>
    </message>
    <message>
        <source>%1 %2</source>
        <translation>%1 %2</translation>
    </message>
    <message>
        <source>the spectrum of the mix is being found out…</source>
        <translation>das Spektrum des Mixes wird ermittelt…</translation>
    </message>
    <message>
        <source>%1 is made by</source>
        <translation>%1 wird gemacht von</translation>
    </message>
    <message>
        <source>%1 %</source>
        <translation>%1 %</translation>
    </message>
    <message>
        <source>nothing beside it yet</source>
        <translation>noch nichts daneben</translation>
    </message>
    <message>
        <source>less the references&apos; mean</source>
        <translation>minus deren Mittel</translation>
    </message>
    <message>
        <source>the mix, less what is beside it</source>
        <translation>Mix minus daneben</translation>
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
        <source>%1: the mix %2, beside it %3, %4</source>
        <translation>%1: der Mix %2, daneben %3, %4</translation>
    </message>
    <message>
        <source>; the references differ as much among themselves</source>
        <translation>; so viel unterscheiden sich die Referenzen auch untereinander</translation>
    </message>
    <message>
        <source>; more than the references differ among themselves</source>
        <translation>; mehr, als sich die Referenzen untereinander unterscheiden</translation>
    </message>
    <message>
        <source>A click chooses the row, a double click goes to its chain.</source>
        <translation>Ein Klick wählt die Zeile, ein Doppelklick geht zu ihrer Kette.</translation>
    </message>
</context>
<context>
    <name>isotonus::StageLane</name>
    <message>
        <source>Stage %1</source>
        <translation>%1 einpegeln</translation>
    </message>
    <message>
        <source>A locked row keeps its trim when the others are staged. (L)</source>
        <translation>Eine gesperrte Zeile behält ihren Trim, wenn die anderen eingepegelt werden. (L)</translation>
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
        <source>%1: %2 %3 before, trim %4, %5 after; wanted %6 to %7.</source>
        <translation>%1: %2 %3 vorher, Trim %4, danach %5; gewünscht %6 bis %7.</translation>
    </message>
    <message>
        <source>Not in its window: %1. Shift+T shows what can be done.</source>
        <translation>Nicht im Fenster: %1. Shift+T zeigt, was zu tun ist.</translation>
    </message>
    <message>
        <source>That is %1 over.</source>
        <translation>Das sind %1 zu viel.</translation>
    </message>
    <message>
        <source>Staged without %1 … %2, which is hatched.</source>
        <translation>Eingepegelt ohne %1 … %2, was schraffiert ist.</translation>
    </message>
    <message>
        <source>Its chain then changes that by %1.</source>
        <translation>Ihre Kette ändert das dann um %1.</translation>
    </message>
    <message>
        <source>Its peak stands %1 above the ceiling.</source>
        <translation>Ihre Spitze steht %1 über der Decke.</translation>
    </message>
    <message>
        <source>Trim %1 tracks at %2</source>
        <translation>Trim von %1 Spuren auf %2</translation>
    </message>
    <message>
        <source>Trim %1 %2</source>
        <translation>Trim %1 %2</translation>
    </message>
    <message>
        <source>Trim %1 tracks %2</source>
        <translation>Trim von %1 Spuren %2</translation>
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
        <source>  held by its peak</source>
        <translation>  von der Spitze gehalten</translation>
    </message>
    <message>
        <source>  end of the trim</source>
        <translation>  Ende des Trims</translation>
    </message>
    <message>
        <source>  %1 over the ceiling</source>
        <translation>  %1 über der Decke</translation>
    </message>
    <message>
        <source>  chain %1</source>
        <translation>  Kette %1</translation>
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
        <source>Sets this track&apos;s trim so that its level falls into its window; so do the other chosen rows, when it is one of them. (F)</source>
        <translation>Setzt den Trim dieser Spur so, dass ihr Pegel in ihr Fenster fällt; so auch der anderen gewählten Zeilen, wenn sie eine davon ist. (F)</translation>
    </message>
</context>
<context>
    <name>isotonus::StageTable</name>
    <message>
        <source>Leave its spikes out: they pass the ceiling, for a compressor to deal with</source>
        <translation>Ihre Ausreißer weglassen: sie überschreiten die Decke, für einen Kompressor</translation>
    </message>
    <message>
        <source>Tame its spikes by clip gain</source>
        <translation>Ihre Ausreißer durch Clip-Gain zähmen</translation>
    </message>
    <message>
        <source>Use clip gain for what the trim cannot give</source>
        <translation>Clip-Gain nehmen für das, was der Trim nicht geben kann</translation>
    </message>
    <message>
        <source>Let its peak pass the ceiling</source>
        <translation>Ihre Spitze die Decke überschreiten lassen</translation>
    </message>
    <message>
        <source>Take it as it is: a window of its own, where it stands</source>
        <translation>Sie nehmen, wie sie ist: ein eigenes Fenster, wo sie steht</translation>
    </message>
    <message>
        <source>Staging, before and after</source>
        <translation>Einpegeln, vorher und nachher</translation>
    </message>
    <message>
        <source>Row</source>
        <translation>Zeile</translation>
    </message>
    <message>
        <source>measure</source>
        <translation>Maß</translation>
    </message>
    <message>
        <source>window</source>
        <translation>Fenster</translation>
    </message>
    <message>
        <source>before</source>
        <translation>vorher</translation>
    </message>
    <message>
        <source>trim</source>
        <translation>Trim</translation>
    </message>
    <message>
        <source>after</source>
        <translation>nachher</translation>
    </message>
    <message>
        <source>peak before</source>
        <translation>Spitze vorher</translation>
    </message>
    <message>
        <source>peak after</source>
        <translation>Spitze nachher</translation>
    </message>
    <message>
        <source>true peak</source>
        <translation>True Peak</translation>
    </message>
    <message>
        <source>stands</source>
        <translation>steht</translation>
    </message>
    <message>
        <source>Stage all</source>
        <translation>Alle einpegeln</translation>
    </message>
    <message>
        <source>Undo</source>
        <translation>Zurücknehmen</translation>
    </message>
    <message>
        <source>%1 of %2 tracks stand in their windows; the sheet is &apos;%3&apos;, its peak ceiling %4.</source>
        <translation>%1 von %2 Spuren stehen in ihren Fenstern; das Blatt ist »%3«, seine Decke für Spitzen %4.</translation>
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
        <source> locked</source>
        <translation> gesperrt</translation>
    </message>
    <message>
        <source>in its window</source>
        <translation>im Fenster</translation>
    </message>
    <message>
        <source>silent</source>
        <translation>still</translation>
    </message>
    <message>
        <source>below: </source>
        <translation>darunter: </translation>
    </message>
    <message>
        <source>above: </source>
        <translation>darüber: </translation>
    </message>
    <message>
        <source>not staged</source>
        <translation>nicht eingepegelt</translation>
    </message>
    <message>
        <source>, %1 over the ceiling</source>
        <translation>, %1 über der Decke</translation>
    </message>
    <message>
        <source>Choices…</source>
        <translation>Wahl…</translation>
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
        <translation>linken</translation>
    </message>
    <message>
        <source>right</source>
        <translation>rechten</translation>
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
        <source> s</source>
        <translation> s</translation>
    </message>
    <message>
        <source>At the playhead</source>
        <translation>An der Abspielposition</translation>
    </message>
    <message>
        <source>A bar starts where the playhead is.</source>
        <translation>Ein Takt beginnt an der Abspielposition.</translation>
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
        <source>Half as fast</source>
        <translation>Halb so schnell</translation>
    </message>
    <message>
        <source>Double</source>
        <translation>Doppelt</translation>
    </message>
    <message>
        <source>Twice as fast</source>
        <translation>Doppelt so schnell</translation>
    </message>
    <message>
        <source>None</source>
        <translation>Keins</translation>
    </message>
    <message>
        <source>The song has no tempo.</source>
        <translation>Der Song hat kein Tempo.</translation>
    </message>
    <message>
        <source>No tempo</source>
        <translation>Kein Tempo</translation>
    </message>
    <message>
        <source>The song map draws the bars: play, and look whether they start with the kick.</source>
        <translation>Die Songkarte zeigt die Takte: Spiel den Song ab und sieh, ob sie mit der Kick beginnen.</translation>
    </message>
    <message>
        <source>Tempo %1</source>
        <translation>Tempo %1</translation>
    </message>
    <message>
        <source>Go on tapping: four taps are enough to begin with.</source>
        <translation>Weitertippen: Vier Schläge genügen für den Anfang.</translation>
    </message>
    <message numerus="yes">
        <source>%n tap(s).</source>
        <translation>
            <numerusform>%n Schlag.</numerusform>
            <numerusform>%n Schläge.</numerusform>
        </translation>
    </message>
    <message>
        <source>Looking at the hits …</source>
        <translation>Die Schläge werden verglichen …</translation>
    </message>
    <message>
        <source>No steady tempo was found: it takes 8 hits of kick, snare or clap that are in time. Tap it, or type it.</source>
        <translation>Kein festes Tempo gefunden: Es braucht 8 Schläge von Kick, Snare oder Clap, die im Takt sind. Tippe es oder gib es ein.</translation>
    </message>
    <message>
        <source>%1 % of %2 hits are in time. Check the bars in the song map; Half and Double correct what hits cannot tell.</source>
        <translation>%1 % von %2 Schlägen sind im Takt. Prüfe die Takte in der Songkarte; Halb und Doppelt berichtigen, was Schläge nicht verraten.</translation>
    </message>
    <message>
        <source>Note values need the song&apos;s tempo; quarters a minute:</source>
        <translation>Notenwerte brauchen das Tempo des Songs; Viertel in der Minute:</translation>
    </message>
    <message>
        <source>Where a bar starts: the bars are counted from there.</source>
        <translation>Wo ein Takt beginnt: Von dort werden die Takte gezählt.</translation>
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
        <translation>Loop über die markierte Strecke, oder den Abschnitt an der Abspielstelle (R)</translation>
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
        <source>Rows that are muted; a click takes all mutes off. (Shift+M)</source>
        <translation>Stumme Zeilen; ein Klick macht keine mehr stumm. (Shift+M)</translation>
    </message>
    <message>
        <source>Rows that are soloed; a click takes all solos off. (Shift+S)</source>
        <translation>Solo-Zeilen; ein Klick nimmt alle Solos weg. (Shift+S)</translation>
    </message>
    <message>
        <source>Point at anything: here stands what it is. F1 lists the keys.</source>
        <translation>Zeige auf irgendetwas: hier steht, was es ist. F1 listet die Tasten.</translation>
    </message>
    <message>
        <source>Sound device</source>
        <translation>Tongerät</translation>
    </message>
    <message>
        <source>Where the sound goes</source>
        <translation>Wohin der Ton geht</translation>
    </message>
    <message>
        <source>no sound: simulated device</source>
        <translation>kein Ton: nachgebildetes Gerät</translation>
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
        <source>simulated: keeps time, makes no sound</source>
        <translation>nachgebildet: hält die Zeit, macht keinen Ton</translation>
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
        <source>nothing there</source>
        <translation>dort ist nichts</translation>
    </message>
    <message>
        <source>the spectrum of the mix is being found out…</source>
        <translation>das Spektrum des Mixes wird ermittelt…</translation>
    </message>
    <message>
        <source>low end (below 120 Hz), left with right: the mix %1</source>
        <translation>Tiefen (unter 120 Hz), links mit rechts: der Mix %1</translation>
    </message>
    <message>
        <source>, %1 %2</source>
        <translation>, %1 %2</translation>
    </message>
    <message>
        <source>. 1 is mono; 0 has nothing in common.</source>
        <translation>. 1 ist mono; 0 hat nichts gemeinsam.</translation>
    </message>
    <message>
        <source>sides over middle, dB: at 0 both are as strong</source>
        <translation>Seiten über Mitte, dB: bei 0 sind beide gleich stark</translation>
    </message>
    <message>
        <source>%1: the mix&apos;s sides %2 against its middle; left and right agree by %3</source>
        <translation>%1: die Seiten des Mixes %2 gegen seine Mitte; links und rechts stimmen zu %3 überein</translation>
    </message>
    <message>
        <source>%1: nothing in the mix</source>
        <translation>%1: nichts im Mix</translation>
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
            <numerusform>%n Fahrt schreiben</numerusform>
            <numerusform>%n Fahrten schreiben</numerusform>
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
        <translation>Mittel, einfacher RMS</translation>
    </message>
    <message>
        <source>average, AES17</source>
        <translation>Mittel, AES17</translation>
    </message>
</context>
</TS>
