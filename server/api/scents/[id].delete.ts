export default scentRoutes.remove()
