export default scentRoutes.restore()
