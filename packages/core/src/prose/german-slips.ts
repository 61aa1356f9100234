/** What goes wrong and what to do about it, in German, by the English of the document. */
export const GERMAN_SLIPS: Readonly<Record<string, string>> = {
  // What is seen.
  'Lengths drift along the row': 'Die Längen verlaufen entlang der Reihe',
  'The cloth puckers': 'Der Stoff zieht sich zusammen',
  'Gaps between stitches': 'Lücken zwischen den Stichen',
  'A stitch has vanished': 'Ein Stich ist verschwunden',
  'One smooth place in the rope': 'Eine glatte Stelle in der Kordel',
  'The line twists thin': 'Die Linie wird dünn und verdreht',
  'It looks like stem stitch': 'Es sieht aus wie Stielstich',
  'A rounded corner': 'Eine runde Ecke',
  'A link came undone': 'Ein Glied ist aufgegangen',
  'Links pulled shut': 'Zugezogene Glieder',
  'The knot pulled through': 'Der Knoten ist durchgerutscht',
  'A loose loop on top': 'Eine lose Schlaufe obenauf',
  'A ragged edge': 'Ein ausgefranster Rand',
  'Cloth between the stitches': 'Stoff zwischen den Stichen',
  'The cloth is pricked': 'Der Stoff ist mitgestochen',
  'The waves lie flat': 'Die Wellen liegen flach',
  'Loops of different sizes': 'Schlaufen verschiedener Größe',
  'A plain chain link': 'Ein einfaches Kettenglied',
  'The petal closed': 'Das Blütenblatt hat sich geschlossen',
  'Uneven arms': 'Ungleiche Arme',
  'Two loops on one side': 'Zwei Schlaufen auf einer Seite',
  'The edge pulls in': 'Der Rand zieht sich ein',
  'Cloth between the spokes': 'Stoff zwischen den Sprossen',
  'A long one sags': 'Ein langer hängt durch',
  'The crossings wander': 'Die Kreuzungen wandern',
  'Top arms mixed': 'Obere Arme durcheinander',
  'A loop is missing': 'Eine Schlaufe fehlt',
  'The tail is slack': 'Der Stiel ist schlaff',
  'Wraps crossed or stuck': 'Windungen gekreuzt oder verklemmt',
  'The knot is a loose loop': 'Der Knoten ist eine lose Schlaufe',
  'The second pass fell off': 'Die zweite Windung ist abgerutscht',
  'Lost at the third corner': 'An der dritten Ecke verloren',
  'A wobbly rim': 'Ein wackliger Rand',
  'The vein stands open': 'Die Mittelader steht offen',
  'The line steps from side to side': 'Die Linie springt hin und her',
  'The laid thread wavers': 'Der gelegte Faden schwankt',
  'Ties bite into it': 'Überfangstiche schnüren ein',
  'The two threads cross': 'Die beiden Fäden kreuzen sich',
  'The links are uneven': 'Die Glieder sind ungleich',
  'Cloth or padding between the stitches': 'Stoff oder Polster zwischen den Stichen',
  'A link closed to a point': 'Ein Glied hat sich zur Spitze geschlossen',
  'The middle line breaks': 'Die Mittellinie bricht ab',
  'The plait wanders': 'Die Flechte wandert',
  'Points of different widths': 'Spitzen verschiedener Breite',
  'Ties out of line': 'Überfangstiche aus der Reihe',
  'Bundles of different widths': 'Bündel verschiedener Breite',
  'The knot falls apart': 'Der Knoten fällt auseinander',
  'Loops turn round each other': 'Schlaufen verdrehen sich umeinander',
  'One edge is smooth': 'Ein Rand ist glatt',
  'Loops stick on the needle': 'Schlaufen klemmen auf der Nadel',
  'The knot sits to one side': 'Der Knoten sitzt seitlich',
  'The bead rolls': 'Die Perle rollt',
  'The beads lean': 'Die Perlen neigen sich',
  'Knots of different sizes': 'Knoten verschiedener Größe',
  'The knot slides up the spoke': 'Der Knoten rutscht die Sprosse hinauf',
  'One thread stands up out of the other': 'Ein Faden steht aus dem anderen heraus',
  'The padding shows at the edge': 'Das Polster schaut am Rand hervor',
  'The slant goes flat': 'Die Schräge wird flach',
  'The crossing wanders': 'Die Kreuzung wandert',
  'A line between the rows': 'Eine Linie zwischen den Reihen',
  'Cloth shows': 'Stoff scheint durch',
  'Rows or clumps': 'Reihen oder Klumpen',
  'Cloth between the rows': 'Stoff zwischen den Reihen',
  'Cloth between the knots': 'Stoff zwischen den Knoten',
  'Steps of different heights': 'Stufen verschiedener Höhe',
  'The pattern slips a thread': 'Das Muster verrutscht um einen Faden',
  'The pattern of ties wanders': 'Das Muster der Überfangstiche wandert',
  'The rows run out of step': 'Die Reihen geraten aus dem Takt',
  'Crosses of different kinds': 'Verschiedene Kreuze',
  'The laid thread pulls in': 'Der gelegte Faden zieht ein',
  'The squares lean': 'Die Quadrate stehen schief',
  'The rhythm breaks': 'Der Wechsel stimmt nicht mehr',
  'A spoke without a ridge': 'Eine Speiche ohne Grat',
  'It narrows in the middle': 'Sie wird in der Mitte schmal',
  'The rows lose a loop': 'Den Reihen fehlt eine Schlaufe',
  'A column stops': 'Eine Säule hört auf',
  'A hard edge shows through the cover': 'Eine harte Kante drückt durch',
  'Cut threads stand out': 'Geschnittene Fäden stehen vor',
  'A bar is cut through': 'Ein Steg ist durchgeschnitten',
  'The small link is missing': 'Das kleine Glied fehlt',
  'The needle went into the cloth under the link': 'Die Nadel ging unter dem Glied in den Stoff',
  'A thin place in the cord': 'Eine dünne Stelle in der Schnur',
  'The plait breaks': 'Die Flechte reißt ab',
  'The links slip straight': 'Die Glieder rutschen gerade',
  'A link slips away': 'Ein Glied löst sich',
  'The rope lies open': 'Die Kordel liegt offen',
  'The edge is loose': 'Der Rand ist lose',
  'The loop is not twisted': 'Die Schlaufe ist nicht verdreht',
  'The rim is uneven': 'Der Rand ist ungleich',
  'The second spoke is loose at its foot': 'Die zweite Sprosse ist am Fuß lose',
  'The bar is sewn to the cloth': 'Der Steg ist am Stoff festgenäht',
  'The patch puckers': 'Der Flicken wirft Falten',
  'The chain leans to one side': 'Die Kette neigt sich zur Seite',
  'Bars show between the rows': 'Stege schauen zwischen den Reihen hervor',
  'The rungs sag': 'Die Sprossen hängen durch',
  'The diamonds differ in size': 'Die Rauten sind verschieden groß',
  'No knot in the middle': 'Kein Knoten in der Mitte',
  'The circles pull the crossings together': 'Die Kreise ziehen die Kreuzungen zusammen',
  'A slant lies the other way': 'Ein Schrägstich liegt andersherum',
  'The cloth is drawn askew': 'Der Stoff verzieht sich schräg',
  'A side is missing': 'Eine Seite fehlt',
  'The hole closes': 'Das Loch schließt sich',
  'The clouds do not close': 'Die Wolken schließen sich nicht',
  'The stitches lie on top of each other': 'Die Stiche liegen übereinander',
  'The two of a pair part': 'Die zwei eines Paares gehen auseinander',
  'The foot becomes a hole': 'Der Fuß wird zum Loch',
  'The tie pricks the cloth beside the sheaf': 'Der Überfangstich sticht neben der Garbe ein',
  'A loop pulls out': 'Eine Schlaufe zieht sich heraus',
  'A hard line between the rows': 'Eine harte Linie zwischen den Reihen',
  'Cloth shows between the rows': 'Stoff scheint zwischen den Reihen durch',
  'The arms do not meet': 'Die Arme treffen sich nicht',
  'The points wander': 'Die Spitzen wandern',
  'No colour between the lines': 'Keine Farbe zwischen den Linien',
  'The beat is lost': 'Der Takt ist verloren',
  // What helps.
  'Mark every hole for thirty stitches and look two stitches ahead.': 'Dreißig Stiche lang jedes Loch anzeichnen und zwei Stiche vorausschauen.',
  'Do not draw up; press flat with a fingernail before the next stitch.': 'Nicht anziehen; vor dem nächsten Stich mit dem Fingernagel glattstreichen.',
  'Aim back into the very hole of the last stitch, from straight above.': 'Genau in das Loch des vorigen Stichs zurück zielen, senkrecht von oben.',
  'It went back through its own hole. Come up one stitch ahead first.': 'Er ging durch sein eigenes Loch zurück. Erst einen Stich weiter vorn heraufkommen.',
  'The thread changed sides there. Take it back and keep it on one side of the needle throughout.':
    'Dort hat der Faden die Seite gewechselt. Zurücknehmen und ihn durchweg auf einer Seite der Nadel halten.',
  'Let the needle hang and untwist the thread.': 'Die Nadel hängen lassen, bis der Faden sich entdreht.',
  'The needle passed beside the thread. Pierce the middle of the last stitch; an even number of strands parts cleanly.':
    'Die Nadel ging neben dem Faden vorbei. Die Mitte des vorigen Stichs durchstechen; eine gerade Zahl von Fäden teilt sich sauber.',
  'Go into the corner hole without splitting and begin afresh.': 'In das Eckloch gehen, ohne zu spalten, und neu beginnen.',
  'The loop was not under the needle. Hold the loop with the thumb until the needle is through.':
    'Die Schlaufe lag nicht unter der Nadel. Mit dem Daumen halten, bis die Nadel durch ist.',
  'Draw the thread up slowly, and stop when the loop hugs the new thread.':
    'Den Faden langsam anziehen und aufhören, wenn die Schlaufe den neuen Faden umfasst.',
  'Go down right beside the first hole, never in it, and hold the thread taut until the last centimetre.':
    'Dicht neben dem ersten Loch hinunter, nie hinein, und den Faden bis zum letzten Zentimeter straff halten.',
  'The thread went slack. Keep it taut with the other hand as the needle goes down.':
    'Der Faden wurde schlaff. Mit der anderen Hand straff halten, während die Nadel hinuntergeht.',
  'Outline first in split stitch and go down just outside it, half a thread over the line.':
    'Erst mit Spaltstich umranden und knapp außerhalb hinunter, einen halben Faden über der Linie.',
  'Strip the strands and lay them together again; add a stitch where cloth shows.':
    'Die Fäden einzeln herausziehen und neu zusammenlegen; wo Stoff durchscheint, einen Stich hinzufügen.',
  'Slide the eye end of the needle under, or take a blunt one.': 'Mit dem Öhr voran darunterführen oder eine stumpfe Nadel nehmen.',
  'It was drawn too tight. Leave each wave standing and even it with the needle.':
    'Es wurde zu fest angezogen. Jede Welle stehen lassen und mit der Nadel ausgleichen.',
  'Tighten each loop as it is made, before the next.': 'Jede Schlaufe gleich anziehen, vor der nächsten.',
  'Go down beside the line, to the left of the last link, so that the loop crosses.':
    'Neben der Linie hinunter, links vom vorigen Glied, damit die Schlaufe sich kreuzt.',
  'Hold the loop down and draw slowly; stop while it is still open.': 'Die Schlaufe niederhalten und langsam anziehen; aufhören, solange sie noch offen ist.',
  'Mark the two rails and the middle, and come up exactly on the middle.': 'Beide Ränder und die Mitte anzeichnen und genau auf der Mitte heraufkommen.',
  'Say the side aloud: left, right. Unpick to the last right one.': 'Die Seite laut sagen: links, rechts. Bis zur letzten richtigen auftrennen.',
  'Draw up along the edge, not away from it, and stop when the loop lies flat.':
    'Am Rand entlang anziehen, nicht davon weg, und aufhören, wenn die Schlaufe flach liegt.',
  'Come up right beside the last stitch: count them over a centimetre.': 'Dicht neben dem vorigen Stich heraufkommen: auf einem Zentimeter zählen.',
  'Longer than a centimetre snags: divide it, or tie it down in the middle.':
    'Länger als ein Zentimeter bleibt er hängen: teilen oder in der Mitte überfangen.',
  'Mark both rails and their ticks; the needle always points back.': 'Beide Ränder und ihre Teilstriche anzeichnen; die Nadel zeigt immer zurück.',
  'Decide the top arm and keep it to the end of the piece.': 'Den oberen Arm festlegen und bis zum Ende des Stücks beibehalten.',
  'Slide under both ears, not into the cloth, before going down.': 'Unter beiden Ähren durch, nicht in den Stoff, ehe es hinuntergeht.',
  'Hold the thread taut until the needle is through.': 'Den Faden straff halten, bis die Nadel durch ist.',
  'Take a needle whose eye is no wider than its shaft, and roll the wraps between finger and needle.':
    'Eine Nadel nehmen, deren Öhr nicht breiter ist als ihr Schaft, und die Windungen zwischen Finger und Nadel rollen.',
  'Hold the thread along the line with the thumb and pull the knot down to the cloth.':
    'Den Faden mit dem Daumen auf der Linie halten und den Knoten bis auf den Stoff ziehen.',
  'Keep the thread under the needle in the second pass.': 'Beim zweiten Mal den Faden unter der Nadel halten.',
  'Number the corners on the cloth: along the top, then out below on the left.': 'Die Ecken auf dem Stoff nummerieren: oben entlang, dann unten links heraus.',
  'Draw round something round, and mark every spoke.': 'Um etwas Rundes zeichnen und jeden Strahl anzeichnen.',
  'Go down just across the vein, each stitch right below the last.': 'Knapp jenseits der Mittelader hinunter, jeder Stich dicht unter dem vorigen.',
  'On the way back come up and go down on the same side of the stitch each time.':
    'Auf dem Rückweg jedes Mal auf derselben Seite des Stichs herauf und hinunter.',
  'Hold it along the line a little taut, and tie square to it.': 'Ihn leicht gespannt auf der Linie halten und rechtwinklig überfangen.',
  'Draw each tie until it just rests on the thread.': 'Jeden Überfangstich nur anziehen, bis er auf dem Faden ruht.',
  'Lay them side by side without a twist, and hold both taut while you tie.': 'Nebeneinander ohne Drehung legen und beim Überfangen beide straff halten.',
  'Tie the outer two together first, all along, then the middle one half way between.':
    'Erst die beiden äußeren auf ganzer Länge zusammen überfangen, dann den mittleren auf halbem Weg dazwischen.',
  'Set each stitch right against the last and draw the padding taut as you go.': 'Jeden Stich dicht an den vorigen setzen und das Polster dabei straff ziehen.',
  'Leave the loop slack until the needle has gone down inside it on the other rail.':
    'Die Schlaufe locker lassen, bis die Nadel am anderen Rand in ihr hinuntergegangen ist.',
  'Bring each tie down into the end of the last one.': 'Jeden Überfangstich in das Ende des vorigen führen.',
  'Draw the two middle lines, and point the needle to them each time.': 'Die beiden Mittellinien zeichnen und die Nadel jedes Mal auf sie richten.',
  'Mark both rails at every foot; the bar starts from the middle of the level stitch.':
    'Beide Ränder an jedem Fuß anzeichnen; der Stab beginnt in der Mitte des waagerechten Stichs.',
  'Draw two lines for the ties and keep every tie between them.': 'Zwei Linien für die Überfangstiche zeichnen und jeden dazwischen halten.',
  'Count the threads of each bundle with the needle before drawing up.': 'Die Fäden jedes Bündels mit der Nadel zählen, ehe es zusammengezogen wird.',
  'The thread must go over the needle one way and under it the other: say "over, under" aloud.':
    'Der Faden muss auf einem Weg über und auf dem anderen unter die Nadel: laut „darüber, darunter“ sagen.',
  'Twist every loop the same way, and take a needle whose eye is no wider than its shaft.':
    'Jede Schlaufe gleich herum drehen und eine Nadel nehmen, deren Öhr nicht breiter ist als ihr Schaft.',
  'Two loops were cast from the same side: left, right, left, right, each with its own thread.':
    'Zwei Schlaufen kamen von derselben Seite: links, rechts, links, rechts, jede mit ihrem eigenen Faden.',
  'Cast them loosely and push them down as you go; measure them against the height you want.':
    'Locker anschlagen und dabei hinunterschieben; an der gewünschten Höhe messen.',
  'Hold the thread over the middle while you draw the knot down.': 'Den Faden über die Mitte halten, während der Knoten hinuntergezogen wird.',
  'Make the stitch just as long as the bead, and pass through it twice.': 'Den Stich genau so lang machen wie die Perle und zweimal hindurchgehen.',
  'Draw each loop straight up from the cloth before the next stitch.': 'Jede Schlaufe vor dem nächsten Stich gerade vom Stoff weg anziehen.',
  'Two turns every time, each laid below the last, before the next stitch.': 'Jedes Mal zwei Windungen, jede unter die vorige gelegt, vor dem nächsten Stich.',
  'Hold the thread down along the edge until the needle is through.': 'Den Faden am Rand niederhalten, bis die Nadel durch ist.',
  'Its ends came out on different sides of the loop, which is a knot that slips: open it and cross the second half the other way.':
    'Seine Enden kamen auf verschiedenen Seiten der Schlaufe heraus, so rutscht der Knoten: öffnen und die zweite Hälfte andersherum kreuzen.',
  'Stop the padding half a thread inside the outline and aim the cover outside it.':
    'Das Polster einen halben Faden innerhalb des Umrisses enden lassen und mit der Deckschicht nach außen zielen.',
  'Draw three direction lines on each half and check against them.': 'Auf jede Hälfte drei Richtungslinien zeichnen und daran prüfen.',
  'Draw the vein as two lines and go down on the far one each time.': 'Die Mittelader als zwei Linien zeichnen und jedes Mal auf der jenseitigen hinunter.',
  'Their ends are not staggered: long and short must differ by a millimetre or more, and later rows pierce the last.':
    'Ihre Enden sind nicht versetzt: lang und kurz müssen sich um einen Millimeter oder mehr unterscheiden, und spätere Reihen durchstechen die vorige.',
  'Add a stitch in the gap, along the same direction.': 'In der Lücke einen Stich hinzufügen, in derselben Richtung.',
  'Turn the hoop after every few stitches, and fill the largest gap next.': 'Den Rahmen nach wenigen Stichen drehen und die größte Lücke als Nächstes füllen.',
  'Set each row right against the last; add a part row where the shape is widest.':
    'Jede Reihe dicht an die vorige setzen; wo die Form am breitesten ist, eine Teilreihe einfügen.',
  'Work another knot into each gap, no nearer to its neighbours than its own width.':
    'In jede Lücke noch einen Knoten, nicht näher an seinen Nachbarn als seine eigene Breite.',
  'Count the threads, or draw a line for every row.': 'Die Fäden zählen oder für jede Reihe eine Linie zeichnen.',
  'Count the first row twice; every later row is counted from it.': 'Die erste Reihe zweimal zählen; jede spätere wird von ihr aus gezählt.',
  'Draw the rows of ties first, and measure from one edge only.': 'Erst die Reihen der Überfangstiche zeichnen und nur von einem Rand aus messen.',
  'Every stitch goes over one laid thread and down right beside the next.': 'Jeder Stich geht über einen gelegten Faden und dicht neben dem nächsten hinunter.',
  'The same arm on top at every crossing.': 'An jeder Kreuzung derselbe Arm oben.',
  'Lay it slightly loose; draw the ties tight.': 'Ihn etwas locker legen; die Überfangstiche fest anziehen.',
  'Mark the edge at every thread, and lay one whole set before the other.':
    'Den Rand an jedem Faden anzeichnen und erst die eine Lage ganz legen, dann die andere.',
  'Count the spokes: their number must be odd.': 'Die Speichen zählen: ihre Zahl muss ungerade sein.',
  'Back over one, under two, every time; never skip.': 'Jedes Mal über eine zurück, unter zweien durch; nie auslassen.',
  'Lay each row easy and beat it up with the needle; do not draw in at the sides.':
    'Jede Reihe locker legen und mit der Nadel anschlagen; an den Seiten nicht einziehen.',
  'Count the loops of each row; begin and end in the cloth at the very edge.': 'Die Schlaufen jeder Reihe zählen; ganz am Rand im Stoff beginnen und enden.',
  'Pass under both threads of the crossing above, every column in every row, and always from right to left.':
    'Unter beiden Fäden der Kreuzung darüber durch, jede Säule in jeder Reihe, und immer von rechts nach links.',
  'Cut each lower layer a little smaller, and bevel the edge of the top one.':
    'Jede untere Lage etwas kleiner schneiden und die Kante der obersten abschrägen.',
  'Go over it again before anything is cut.': 'Noch einmal darübergehen, ehe etwas geschnitten wird.',
  'Cut no more than the hole, fold the points behind, and hold them under the stitches.':
    'Nicht mehr schneiden als das Loch, die Spitzen nach hinten falten und unter den Stichen halten.',
  'Lay a thread across in its place and overcast it with the others; then count again.':
    'An seiner Stelle einen Faden spannen und mit den anderen umstechen; dann noch einmal zählen.',
  'Take the thread once round the needle before it goes in, then catch the large loop as in chain stitch.':
    'Den Faden einmal um die Nadel legen, ehe sie einsticht, dann die große Schlaufe wie beim Kettenstich fangen.',
  'Slide the eye end under both threads of the last link; only the hole ahead is pierced.':
    'Mit dem Öhr voran unter beiden Fäden des vorigen Glieds durch; nur das Loch davor wird gestochen.',
  'There the needle went under one link only: take the last two, four threads.':
    'Dort ging die Nadel nur unter einem Glied durch: die letzten zwei nehmen, vier Fäden.',
  'Lift the last link aside with the eye of the needle and go under the inner one alone.':
    'Das letzte Glied mit dem Öhr beiseite heben und nur unter dem inneren durchgehen.',
  'Let the needle pierce the end of the last link as it goes in again, so that it stays on its rail.':
    'Die Nadel beim Einstechen das Ende des vorigen Glieds durchstechen lassen, damit es auf seiner Linie bleibt.',
  'The thread that comes up next must come up inside the loop of the other.':
    'Der Faden, der als Nächster heraufkommt, muss in der Schlaufe des anderen heraufkommen.',
  'Go in right behind the last loop, beside the line, and come out only a thread further on than before.':
    'Dicht hinter der vorigen Schlaufe neben der Linie hinein und nur einen Faden weiter als zuvor heraus.',
  'Pass under the thread at the beginning of the link and draw it level before the next.':
    'Unter dem Faden am Anfang des Glieds durch und ihn vor dem nächsten gerade ziehen.',
  'Lay the thread over the needle and round under its point before you draw through.':
    'Den Faden über die Nadel und um ihre Spitze herum legen, ehe er durchgezogen wird.',
  'Draw the ring and mark the spokes; draw each loop toward the next mark, not away from the middle.':
    'Den Ring zeichnen und die Speichen anzeichnen; jede Schlaufe zum nächsten Zeichen hin anziehen, nicht von der Mitte weg.',
  'Hold the small loop on the edge with the thumb: draw the thread up first, then down through it.':
    'Die kleine Schlaufe mit dem Daumen am Rand halten: den Faden erst nach oben ziehen, dann durch sie hinunter.',
  'Use a blunt needle or the eye end, and slide it under the bar only.': 'Eine stumpfe Nadel oder das Öhr voran nehmen und nur unter dem Steg durchführen.',
  'Tack it flat first, and draw each stitch only until it lies on the edge.': 'Erst flach heften und jeden Stich nur anziehen, bis er auf dem Rand liegt.',
  'Up under the bar on one side of the thread, down on the other: the same sides at every bar.':
    'Auf einer Seite des Fadens unter dem Steg hinauf, auf der anderen hinunter: an jedem Steg dieselben Seiten.',
  'Push the rows together with the needle and add one; begin every row at the same end.':
    'Die Reihen mit der Nadel zusammenschieben und eine hinzufügen; jede Reihe am selben Ende beginnen.',
  'Draw each pair of arms square to the middle; pass under the last crossing only and not into the cloth.':
    'Jedes Armpaar rechtwinklig zur Mitte anziehen; nur unter der letzten Kreuzung durch und nicht in den Stoff.',
  'Draw each rung level before going down; the loops at its ends are firm, the rung easy.':
    'Jede Sprosse gerade ziehen, ehe es hinuntergeht; die Schlaufen an ihren Enden fest, die Sprosse locker.',
  'Mark both rails at every step, and draw each knot to its place before you go on.':
    'Beide Ränder bei jedem Schritt anzeichnen und jeden Knoten an seinen Platz ziehen, ehe es weitergeht.',
  'The thread must lie under the needle as it passes behind the upper leg.':
    'Der Faden muss unter der Nadel liegen, während sie hinter dem oberen Bein durchgeht.',
  'Lay each circle loosely and even it with the needle before the next.': 'Jeden Kreis locker legen und vor dem nächsten mit der Nadel ausgleichen.',
  'Count the cloth threads of the first row twice; every later row is counted from it.':
    'Die Stofffäden der ersten Reihe zweimal zählen; jede spätere wird von ihr aus gezählt.',
  'Work in a hoop or frame, and do not pull.': 'Im Rahmen sticken und nicht ziehen.',
  'Upright, along the foot, along the top: always in that order, behind always slanting.':
    'Aufrecht, unten entlang, oben entlang: immer in dieser Folge, hinten immer schräg.',
  'Always up at the edge and down in the middle, and pull away from the middle each time.':
    'Immer am Rand herauf und in der Mitte hinunter und jedes Mal von der Mitte weg ziehen.',
  'The small stitches of every second row stand half way between those of the last.':
    'Die kleinen Stiche jeder zweiten Reihe stehen auf halbem Weg zwischen denen der vorigen.',
  'Guide each to the other side with the needle while you draw it down.': 'Jeden beim Anziehen mit der Nadel auf die andere Seite führen.',
  'Set the second right beside the first, in holes of its own.': 'Den zweiten dicht neben den ersten setzen, in eigene Löcher.',
  'Draw the stitches easy; only the last one settles the others.': 'Die Stiche locker anziehen; erst der letzte legt die anderen.',
  'Come up beneath the middle stitch, pass round all three on the surface, and go down beneath it again.':
    'Unter dem mittleren Stich heraufkommen, obenauf um alle drei herum und wieder unter ihm hinunter.',
  'Draw the small stitch over its foot tight before the next loop; work rows close and cut only when all are made.':
    'Den kleinen Stich über ihrem Fuß vor der nächsten Schlaufe fest anziehen; die Reihen dicht und erst schneiden, wenn alle fertig sind.',
  'Go further up between the stitches of the last row, a fifth of a stitch or more.':
    'Weiter zwischen die Stiche der vorigen Reihe hinaufgehen, ein Fünftel eines Stichs oder mehr.',
  'Go down into the holes of the last row, from the new row toward it.': 'In die Löcher der vorigen Reihe hinunter, von der neuen Reihe zu ihr hin.',
  'All three go down in the same hole; come up at the tips.': 'Alle drei gehen in dasselbe Loch hinunter; an den Spitzen heraufkommen.',
  'Draw the middle line and go down on it both times in the same hole.': 'Die Mittellinie zeichnen und beide Male im selben Loch auf ihr hinunter.',
  'The cloth is too thick, or the stitches too long: sheer cloth, and stitches no longer than two millimetres.':
    'Der Stoff ist zu dicht oder die Stiche zu lang: durchsichtiger Stoff und Stiche von höchstens zwei Millimetern.',
  'Say it aloud: long, short; mark both lengths on the edge of a card.': 'Laut sagen: lang, kurz; beide Längen auf der Kante einer Karte anzeichnen.',
}
