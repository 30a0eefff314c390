export default scentRoutes.list()
