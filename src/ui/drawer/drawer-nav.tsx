import { SubNav } from '../shared/sub-nav'

/** The parts of the Drawer: metal lying in it, tools hanging over it, outlines read in for it. */
export function DrawerNav() {
  return (
    <SubNav
      label="Drawer"
      links={[
        { href: '/drawer', label: 'Metal' },
        { href: '/drawer/tools', label: 'Tool wall' },
        { href: '/drawer/scrap', label: 'Scrap' },
        { href: '/drawer/baths', label: 'Baths' },
        { href: '/drawer/buy', label: 'To buy' },
        { href: '/drawer/outline', label: 'Outlines' },
        { href: '/drawer/templates', label: 'Templates' },
      ]}
    />
  )
}
