/**
 * Words that say little of what a text is for, in English, German, French and Spanish, and what links begin with. From memory: the
 * commonest function words of each.
 */
export const SMALL_WORDS: ReadonlySet<string> = new Set(
  `a an and are as at be by can do for from has have i if in is it its me my no not of on or our so that the this to us was we will
  with you your am dear please http https www com about after again all also any because been before being below between both but
  could did does each few had having he her him his how into just more most need needs no nor only other own same she should some such
  than their them then there these they those through too under until up very well what when where which while who why would
  aber als am an auf aus bei bin bis das dass dem den der des die ein eine einem einen einer er es für habe hat ich ihr ihre ihnen im
  in ist mit nach nicht noch oder sie sind so und uns unser vom von vor war wir wird zu zum zur
  au aux avec ce cette dans de des du elle en est et il je la le les leur ma mais me mes mon ne nous ou par pas pour que qui sa se ses
  son sont sur un une vos votre vous
  al con de del el ella en es esta este la las lo los mi muy no nos o para pero por que se si sin su sus te tu un una y ya`.split(
    /\s+/u,
  ),
);
