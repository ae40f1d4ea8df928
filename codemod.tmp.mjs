import ts from 'typescript';
import fs from 'fs';
import path from 'path';
const J = 'resources/js/';
const cfg = ts.readConfigFile('tsconfig.json', ts.sys.readFile);
const parsed = ts.parseJsonConfigFileContent(cfg.config, ts.sys, '.');
const program = ts.createProgram(parsed.fileNames, parsed.options);
program.getTypeChecker();
const common = fs.existsSync('/tmp/common.json') ? new Set(JSON.parse(fs.readFileSync('/tmp/common.json','utf8'))) : new Set(); const seen = {};
const dry = process.argv.includes('--dry');
const letters = /\p{L}{2}/u;
const all = {};
const byText = {};
const ATTR = new Set(['label','title','placeholder','aria-label','description','alt','name','summary','emptyText','act','unanswered']);
const SKIPATTR = new Set(['className','id','href','type','role','to','key','fill','stroke','d','transform','viewBox','style','variant','size','color','autoComplete','method','action','htmlFor','scope','rel','target','d','textAnchor','fontWeight','dominantBaseline','aria-live','points','position','w','mb','mt','defaultColorScheme','download','pattern','inputMode','accept','preserveAspectRatio','x','y','aria-labelledby','aria-describedby','form','patternUnits','autoFocus','file','replace','classNames','styles','step','onKeyDown','orientation','justify','align','gap','data-name','aria-current','tabIndex','aria-expanded','withinPortal','kind','wrap']);
for (const sf of program.getSourceFiles()) {
  const file = path.relative('.', sf.fileName);
  if (!file.startsWith(J) || file.includes('.test.') || file.endsWith('schema.ts') || file.endsWith('testing.tsx') || file.includes('/words/') || file.includes('/gardener/')) continue;
  const src = sf.getFullText();
  const base = path.basename(file).replace(/\.tsx?$/, '').replace(/([a-z])([A-Z])/g, '$1-$2').toLowerCase();
  const edits = [];
  const slug = (t) => t.replace(/\{[^}]*\}/g, ' ').replace(/[’']/g,'').replace(/°/g,'').toLowerCase().match(/[a-z0-9]+/g)?.slice(0, 5).join('-') ?? 'text';
  const keyFor = (text) => {
    (seen[text] ??= new Set()).add(base);
    const pre = common.has(text) ? 'common' : base;
    const dup = byText[pre + '|' + text];
    if (dup) return dup;
    let k = `${pre}.${slug(text)}`, n = 2;
    while (all[k] !== undefined) k = `${pre}.${slug(text)}-${n++}`;
    all[k] = text; byText[pre + '|' + text] = k;
    return k;
  };
  const argName = (e) => {
    if (ts.isParenthesizedExpression(e) || ts.isAsExpression(e) || ts.isNonNullExpression(e)) return argName(e.expression);
    if (ts.isIdentifier(e)) return e.text;
    if (ts.isPropertyAccessExpression(e)) return e.name.text === 'length' ? argName(e.expression) : e.name.text;
    if (ts.isElementAccessExpression(e)) return argName(e.expression);
    if (ts.isCallExpression(e)) { const c = e.expression; if (ts.isPropertyAccessExpression(c) && ['map','join','filter','slice','toFixed','toLowerCase','reduce','replace'].includes(c.name.text)) return argName(c.expression); if (e.arguments.length && ts.isExpression(e.arguments[0]) && !ts.isStringLiteral(e.arguments[0])) return argName(e.arguments[0]); return ts.isIdentifier(c) ? c.text : 'value'; }
    if (ts.isBinaryExpression(e)) return argName(e.left);
    if (ts.isPrefixUnaryExpression(e)) return argName(e.operand);
    return 'value';
  };
  const esc = (t) => t.replace(/'(?=[{}])/g, "''").replace(/[{}]/g, (c) => `'${c}'`);
  const snake = (n) => n.replace(/([a-z])([A-Z])/g, '$1_$2').toLowerCase();
  const build = (parts) => { // parts: string | expr
    const args = {}; let text = '';
    for (const p of parts) {
      if (typeof p === 'string') text += esc(p);
      else {
        const code = p.getText(sf); let n = snake(argName(p)) || 'value'; let i = 2; const root = n;
        while (args[n] !== undefined && args[n] !== code) n = `${root}${i++}`;
        args[n] = code; text += `{${n}}`;
      }
    }
    return { text, args };
  };
  // edits in inner expressions need recursion: transform text of expr
  const render = (node) => { // source text of node with nested edits applied
    const inner = []; walk(node, inner); return apply(node.getText(sf), node.getStart(sf), inner);
  };
  const apply = (text, start, list) => { list.sort((a, b) => b.s - a.s); for (const e of list) text = text.slice(0, e.s - start) + e.t + text.slice(e.e - start); return text; };
  const call = ({ text, args }) => {
    const key = keyFor(text.trim());
    const a = Object.entries(args);
    return a.length ? `say('${key}', { ${a.map(([n, c]) => (n === c ? n : `${/^[a-z_]\w*$/.test(n) ? n : `'${n}'`}: ${c}`)).join(', ')} })` : `say('${key}')`;
  };
  const hasJsx = (n) => { let f = false; const v = (m) => { if (ts.isJsxElement(m) || ts.isJsxSelfClosingElement(m) || ts.isJsxFragment(m)) f = true; if (!f) ts.forEachChild(m, v); }; v(n); return f; };
  const jsxText = (t) => { // JSX whitespace rules
    const lines = t.split('\n'); const out = [];
    lines.forEach((l, i) => { let x = l.replace(/\t/g, ' '); if (i > 0) x = x.replace(/^ +/, ''); if (i < lines.length - 1) x = x.replace(/ +$/, ''); if (x) out.push(x); });
    return out.join(' ').replace(/&nbsp;/g, '\u00a0').replace(/&amp;/g, '&').replace(/&lt;/g, '<').replace(/&gt;/g, '>').replace(/&apos;|&#39;/g, "'").replace(/&quot;/g, '"');
  };
  const isStr = (n) => ts.isStringLiteral(n) || ts.isNoSubstitutionTemplateLiteral(n);
  const skipCtx = (n) => {
    for (let p = n.parent, c = n; p; c = p, p = p.parent) {
      if (ts.isImportDeclaration(p) || ts.isExportDeclaration(p) || ts.isTypeNode(p) || ts.isLiteralTypeNode(p)) return true;
      if (ts.isJsxAttribute(p)) { const nm = p.name.getText(sf); if (SKIPATTR.has(nm)) return true; return false; }
      if (ts.isCallExpression(p)) {
        const f = p.expression.getText(sf);
        if (/^(api\.|say$|hasWords|useKeys|use[A-Z]|navigate|setParams|URL|console|document\.|window\.|storage|localStorage|import)/.test(f) && c !== p.expression) return true;
        if (/\.(get|set|has|delete|startsWith|endsWith|includes|split|join|replace|replaceAll|querySelector|closest|match|test|padStart|append|setItem|getItem|add|addEventListener|removeEventListener|indexOf)$/.test(f) && p.arguments.includes(c)) return true;
      }
      if (ts.isNewExpression(p) && /^(Error|URL|Blob|Map|RegExp|LogicError)/.test(p.expression.getText(sf))) { if (/^Error|Blob|RegExp/.test(p.expression.getText(sf))) return true; }
      if (ts.isBinaryExpression(p) && ['===', '!==', '==', '!=', '<', '>', 'in'].includes(p.operatorToken.getText(sf))) return true;
      if (ts.isCaseClause(p) && p.expression === c) return true;
      if (ts.isElementAccessExpression(p) && p.argumentExpression === c) return true;
      if (ts.isPropertyAssignment(p) && (p.name === c)) return true;
      if (ts.isPropertyAssignment(p)) { const nm = p.name.getText(sf).replace(/'/g, ''); if (['key','id','value','className','type','file','path','element','queryKey','href','school','route','color','fill','outcome','format','role','element','timeZone','month','style'].includes(nm)) return true; }
      if (ts.isEnumMember(p)) return true;
      if (ts.isArrayLiteralExpression(p) && ts.isAsExpression(p.parent)) return true;
    }
    return false;
  };
  const inChild = (n) => { // literal reaches a JSX child expression through ?: && || ??
    let c = n, p = n.parent;
    while (p && (ts.isConditionalExpression(p) && p.condition !== c || ts.isParenthesizedExpression(p) || ts.isBinaryExpression(p) && ['&&', '||', '??'].includes(p.operatorToken.getText(sf)) && p.right === c)) { c = p; p = p.parent; }
    return p && (ts.isJsxExpression(p) && (ts.isJsxElement(p.parent) || ts.isJsxFragment(p.parent)));
  };
  const sentence = (t) => letters.test(t) && (/\p{L}{2,}[,;:.’]? \S/u.test(t) || /\S \p{L}{2,}/u.test(t) || /^\p{Lu}\p{Ll}+[.:…]?$/u.test(t.trim()));
  function walk(n, out) {
    if (ts.isJsxElement(n) || ts.isJsxFragment(n)) {
      if (ts.isJsxElement(n)) { walk(n.openingElement, out); }
      // group children
      let group = [];
      const flush = () => {
        const g = group; group = [];
        if (!g.length) return;
        const hasText = g.some((c) => ts.isJsxText(c) && letters.test(jsxText(c.getFullText(sf))));
        if (!hasText) { g.forEach((c) => { if (ts.isJsxExpression(c)) walk(c, out); }); return; }
        // trim whitespace-only at ends
        const parts = [];
        for (const c of g) {
          if (ts.isJsxText(c)) { const t = jsxText(c.getFullText(sf)); if (t) parts.push(t); }
          else if (c.expression) {
            if (isStr(c.expression)) parts.push(c.expression.text);
            else parts.push(c.expression);
          }
        }
        let joined = [];
        for (const p of parts) { if (typeof p === 'string' && typeof joined.at(-1) === 'string') joined[joined.length - 1] += p; else joined.push(p); }
        let lead = '', tail = '';
        if (typeof joined[0] === 'string') { lead = /^\s/.test(joined[0]) ? ' ' : ''; joined[0] = joined[0].replace(/^\s+/, ''); }
        const li = joined.length - 1;
        if (typeof joined[li] === 'string') { tail = /\s$/.test(joined[li]) ? ' ' : ''; joined[li] = joined[li].replace(/\s+$/, ''); }
        joined = joined.filter((p) => p !== '');
        const b = buildR(joined);
        const s = g[0].getFullStart(), e = g.at(-1).getEnd();
        out.push({ s, e, t: `${lead ? "{' '}" : ''}{${call(b)}}${tail ? "{' '}" : ''}` });
      };
      const kids = n.children;
      for (const c of kids) {
        if (ts.isJsxText(c)) { group.push(c); }
        else if (ts.isJsxExpression(c) && c.expression && !hasJsx(c.expression)) group.push(c);
        else { flush(); walk(c, out); }
      }
      flush();
      return;
    }
    if (ts.isJsxAttribute(n) && n.initializer && ts.isStringLiteral(n.initializer)) {
      const nm = n.name.getText(sf);
      if (!SKIPATTR.has(nm) && (ATTR.has(nm) || sentence(n.initializer.text)) && letters.test(n.initializer.text)) out.push({ s: n.initializer.getStart(sf), e: n.initializer.getEnd(), t: `{${call({ text: esc(n.initializer.text), args: {} })}}` });
      return;
    }
    if (ts.isTemplateExpression(n) && !skipCtx(n)) {
      const parts = [n.head.text]; n.templateSpans.forEach((s) => { parts.push(s.expression, s.literal.text); });
      const plain = parts.filter((p) => typeof p === 'string').join(' ');
      if (letters.test(plain) && (sentence(parts.map((p) => (typeof p === 'string' ? p : 'Xx')).join('')) ) && !/^[a-z-]+[.-]$/.test(n.head.text) && !/^[/#?]|url\(|translate|px|^M|[a-z]+\.$/.test(n.head.text) && !/=/.test(plain)) {
        const ps = parts.filter((p) => p !== '');
        out.push({ s: n.getStart(sf), e: n.getEnd(), t: callSpaced(ps) });
        return;
      }
    }
    if (isStr(n) && !skipCtx(n) && letters.test(n.text)) {
      const t = n.text;
      if ((sentence(t) || (inChild(n) && /^\p{L}/u.test(t))) && !/^[a-z]+(-[a-z0-9]+)+$/.test(t) && !/[=/#]|^\w+\.\w+$|^var\(/.test(t.replace(' / ', ''))) {
        out.push({ s: n.getStart(sf), e: n.getEnd(), t: callSpaced([t]) });
        return;
      }
    }
    ts.forEachChild(n, (c) => walk(c, out));
  }
  const callSpaced = (parts) => {
    let p = [...parts]; let lead = '', tail = '';
    if (typeof p[0] === 'string' && /^\s/.test(p[0])) { lead = "' ' + "; p[0] = p[0].trimStart(); }
    const l = p.length - 1;
    if (typeof p[l] === 'string' && /\s$/.test(p[l])) { tail = " + ' '"; p[l] = p[l].trimEnd(); }
    p = p.filter((x) => x !== '');
    return lead + call(buildR(p)) + tail;
  };
  function buildR(parts) {
    const args = {}; let text = '';
    for (const p of parts) {
      if (typeof p === 'string') text += esc(p);
      else {
        const code = render(p); let n = snake(argName(p)) || 'value'; let i = 2; const root = n;
        while (args[n] !== undefined && args[n] !== code) n = `${root}${i++}`;
        args[n] = code; text += `{${n}}`;
      }
    }
    return { text, args };
  }
  walk(sf, edits);
  if (!edits.length) continue;
  let out = apply(src, 0, edits);
  let r = path.relative(path.dirname(file), J + 'words/words'); if (!r.startsWith('.')) r = './' + r;
  const m = out.match(new RegExp(`import \\{([^}]*)\\} from '${r.replace(/[.]/g, '\\.')}';`));
  if (m) { if (!/\bsay\b/.test(m[1])) out = out.replace(m[0], m[0].replace('{', '{ say,')); }
  else out = `import { say } from '${r}';\n` + out;
  if (dry) console.log('=== ' + file + '\n' + edits.map((e) => e.t).join('\n'));
  else fs.writeFileSync(file, out);
}
if (!dry) {
  const desk = JSON.parse(fs.readFileSync('lang/en/desk.json', 'utf8'));
  fs.writeFileSync('lang/en/desk.json', JSON.stringify(Object.fromEntries(Object.entries({ ...desk, ...all }).sort(([a], [b]) => (a < b ? -1 : 1))), null, 4) + '\n');
}

if (dry) fs.writeFileSync('/tmp/common.json', JSON.stringify(Object.entries(seen).filter(([t, f]) => f.size > 1 && t.split(' ').length <= 4).map(([t]) => t)));
