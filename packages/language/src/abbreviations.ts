import type { LanguageCode } from './languages';

/**
 * Abbreviations that people write out in chat and mail, in small letters; common practice, no source. Films and books, from which
 * words are counted, hardly have them.
 */
export const ABBREVIATIONS: Readonly<Record<LanguageCode, readonly string[]>> = {
  en: words(`mon tue tues wed thu thur thurs fri sat sun jan feb apr jun jul aug sept oct nov dec fw ref
    afaik afk aka appt approx asap atm attn bbl bc bff brb bro btw cc cu cya dm dob dw eod eom eta etc faq fb fomo ftw fwd fyi gg gm gn gtg hbu hmu hrs
    idc idk iirc ily imho imo irl jk kk lmao lmk lol mins misc msg mtg nb np nvm omg omw ok oos ooo pic pics pls plz pm pov ppl ps qty rofl rsvp sec smh sry tba tbc tbd tbh
    tgif thnx thru thx tia tldr tmi tmr tmrw tom ttyl txt ty tysm tyt vs wbu wfh wip wk wtf xmas xo yep yw`),
  de: words(`mo di mi do fr sa jan feb apr jun jul aug sept okt nov dez abk bspw bzgl bzw ca dgl etc evtl ggf gn8 hdl hdgdl ibd inkl insb iwie jmd kd kp lg lol mbmn mfg mind mio mm mrd mwst nä nm nr od omg ok pls sg sog std str
    tel thx tgl uam ua uawg usw usf uvm vg vgl vllt wg zb zt zzgl`),
  fr: words(`lun mar mer jeu ven sam dim janv févr avr juil sept oct nov déc ajd asap bcp bjr biz bsr cad càd cdlt cdt cf cv dc dispo dsl env etc ex fr jpp jsp jtm lol mdr mp msg nb num ok pb pcq pdt pj pk pr ps pt ptdr qd qq qqch qqn rdv rep
    rs slt stp svp tel tjrs tkt tlm tps tt ttes vs wknd`),
  es: words(`lun mié jue vie sáb dom ene feb abr jun jul ago sept oct nov dic adj ag aprox asap att atte bb bn cel cía dc dpto etc finde gral hr ing info jaja k kiero kmo lol máx min mñn msj msg núm ok pag pd pf pfa porfa ppal prof pls q qdms qtal
    salu2 sr sra srta ss tb tel tkm tmb ud uds vs xa xfa xq xfis`),
};

/**
 * How often each of them is assumed to come in 10,000 words, since nothing free to use counts them: most people write some often
 * and most never. Between a fiftieth of it and ten times as often.
 */
export const ASSUMED_PER_TEN_THOUSAND = 0.4;

function words(text: string): string[] {
  return text.trim().split(/\s+/u);
}
