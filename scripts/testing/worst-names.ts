/** Names as nobody should give them, each by what is wrong with it. */
export const WORST_NAMES: Record<string, string> = {
  markup: `</title><script>alert("1")</script>&amp;<b a='b'>`,
  'an end of data': ']]>--><!--<![CDATA[',
  'letters turned round': 'kite\u202Egnp.exe\u2067\u061C',
  'lines and tabs': 'two\r\nlines\n\nand\ttabs\u2028',
  'controls and halves': 'a\u0000b\u0007c\u001B[31m\uD800d\uFFFE',
  'four thousand letters': 'Sea holly '.repeat(400),
  'ways out': '../../../etc/passwd',
  'a root': 'C:\\Windows\\system32\\a',
  'what shells read': '$(rm -rf ~);`id`|>x&&"%s%n',
  'a device': 'NUL',
  dots: ' .. ',
  nothing: '',
  brackets: '(a) \\( \\n ) <</Length 9>> endobj stream',
  'other scripts': 'می‌خواهم ים טובים 凧 👩‍👧 İstanbul ﷽',
  'marks on marks': `Z${'\u0301'.repeat(300)}`,
};
