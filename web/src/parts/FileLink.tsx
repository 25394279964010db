/** An entry of a menu that fetches a file. */
export function FileLink({ href, name }: { href: string; name: string }) {
  return (
    <li>
      <a className="hover:bg-base-300 block rounded px-2 py-1" href={href} download>
        {name}
      </a>
    </li>
  );
}
