import { SubNav } from '../shared/sub-nav'

/** The two halves of the Drawer: metal lying in it, tools hanging over it. */
export function DrawerNav() {
  return (
    <SubNav
      label="Drawer"
      links={[
        { href: '/drawer', label: 'Metal' },
        { href: '/drawer/tools', label: 'Tool wall' },
      ]}
    />
  )
}
