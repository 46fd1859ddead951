package app.jubek.core.suggest;

import app.jubek.core.matching.Folding;
import app.jubek.core.text.WhiteSpace;
import java.util.Set;
import java.util.stream.Collectors;

/** Words that begin or end no phrase of their own: articles, prepositions, greetings and the like (common practice). */
final class CommonWords {
    static final Set<String> ALL =
            WhiteSpace.words("""
            a an the and or but of to in on at for from by with about as is are was were be been am do does did
            have has had will would can could may might shall should must not no yes this that these those it
            its i you he she we they me my your our their his her us them who what when where which how why if
            then than so too very just also only more most some any all each other another into out up down over
            under again please thanks thank regards kind best sincerely dear hello hi hey good morning day
            evening sent re fw fwd aw wg sv vs tr www http https com org net mailto wrote said says new get got
            one two three here there now today tomorrow yesterday week month year der die das ein eine und oder
            aber von zu im am an auf für mit über ist sind war waren nicht kein ja nein dies ich du er sie wir
            ihr mich mein dein unser wer wann wo wie warum wenn bitte danke liebe lieber sehr geehrte geehrter
            guten tag gruß grüße freundlichen le la les un une des du de et ou mais à au aux en dans sur pour
            par avec est sont était pas je tu il elle nous vous ils elles mon ma mes notre votre qui que quoi
            quand où comment merci bonjour cordialement ett och eller men av till i på om är var inte jag han
            hon vi ni min din vår hej tack vänliga hälsningar
            """).stream().map(Folding::fold).collect(Collectors.toUnmodifiableSet());

    private CommonWords() {}
}
