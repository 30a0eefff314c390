/** Whatever no other route answers. */
export default route(null, () => refuse(404, 'There is nothing at this address.'))
